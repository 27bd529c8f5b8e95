import type { Desk } from '../../desk';

/** The page of palms before they bear: the nursery's calendar and the legume cover. */
export function palmNurseryPage({ library, today }: Desk) {
	const { palmEstate, products } = library;
	const nameOf = (id: string) => products.find((product) => product.id === id)?.name ?? id;
	const { nursery, cover } = palmEstate;
	return {
		title: 'Palm nursery and cover',
		today,
		palmEstate,
		names: { nursery: nameOf(nursery.product), phosphate: nameOf(cover.phosphate), npk: nameOf(cover.npk) }
	};
}
