import type { RatesPage } from '$lib/server/pages/rates-page';

type Row = RatesPage['rows'][number];

/** The approaches whose guide knows the crop, but that lack something here. */
export function lackingIn({ opinions }: Row): Row['opinions'] {
	return opinions.filter(({ answer, notForCrop }) => !answer.applies && !notForCrop);
}
