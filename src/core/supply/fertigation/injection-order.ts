import type { WaterCaution } from '../../schema-types';
import type { StockTank } from './stock-tanks';

/**
 * In what order tanks go into one line: acid first on clean water, and calcium never in the same hour as the sulfate or
 * phosphate that two tanks keep from it; common practice.
 */
export function injectionOrder(tanks: readonly StockTank[]): WaterCaution[] {
	const found: WaterCaution[] = [];
	const isAcid = ({ doses }: StockTank) => doses.some(({ product }) => product.acid !== undefined);
	const acid = tanks.filter(isAcid);
	if (acid.length > 0 && acid.length < tanks.length) {
		found.push({
			code: 'acid-first',
			severity: 'mind',
			text: `${capital(named(acid))} with acid goes in first from where the water comes, after metal filters and meters, and is mixed in before the point of ${named(tanks.filter((tank) => !isAcid(tank)))}.`
		});
	}
	const { calcium, others } = apartInTime(tanks);
	if (calcium.length > 0 && others.length > 0) {
		found.push({
			code: 'one-after-another',
			severity: 'mind',
			text: `${capital(named(calcium))} and ${named(others)} go through the line one after the other with clear water between, not in the same hour: calcium falls out with sulfate and phosphate where they meet. Each has its own half of the injection time; the pump rates are for that half.`
		});
	}
	return found;
}

/** In how many parts the time of injection falls: 2 where tanks must not go in together. */
export function partsOfInjection(tanks: readonly StockTank[]): 1 | 2 {
	const { calcium, others } = apartInTime(tanks);
	return calcium.length > 0 && others.length > 0 ? 2 : 1;
}

/** Tanks with calcium, and those of the rest that hold sulfate or phosphate. */
function apartInTime(tanks: readonly StockTank[]): { calcium: StockTank[]; others: StockTank[] } {
	const holds = (nutrient: 'Ca' | 'S' | 'P2O5') => (tank: StockTank) =>
		tank.doses.some(({ product }) => (product.analysis[nutrient] ?? 0) > 0);
	const calcium = tanks.filter(holds('Ca'));
	const others = tanks.filter((tank) => !calcium.includes(tank) && (holds('S')(tank) || holds('P2O5')(tank)));
	return { calcium, others };
}

/** "Tank A" or "tanks A and B". */
function named(tanks: readonly StockTank[]): string {
	const names = tanks.map(({ name }) => name);
	return names.length === 1 ? `tank ${names[0]}` : `tanks ${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

function capital(words: string): string {
	return words.charAt(0).toUpperCase() + words.slice(1);
}
