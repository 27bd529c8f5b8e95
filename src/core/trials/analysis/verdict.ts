import type { TrialAnswer } from '../../schema-types';
import type { MeanFamily } from './trial-means';

/** What an analysis says in an adviser's words: factor by factor, and where one works by another. */
export function verdictOf(rows: TrialAnswer['anova'], families: readonly MeanFamily[], level: number): string {
	const tested = rows.filter(({ source, p }) => p !== null && source !== 'block' && source !== 'residual');
	const isReal = (p: number | null) => p !== null && p < 1 - level;
	const together = tested.filter(({ source, p }) => source.includes(':') && isReal(p));
	const sentences = families.flatMap(({ means, comparison: { of, hsd } }) => {
		const row = tested.find(({ source }) => source === of);
		if (!row || of.includes(':')) return [];
		if (!isReal(row.p)) return [`${of} makes no difference beyond chance (${chanceText(row.p)}).`];
		const sorted = [...means].sort((a, b) => b.mean - a.mean);
		const [best, worst] = [sorted[0]!, sorted.at(-1)!];
		const like = sorted.filter(({ group }) => shares(group, best.group)).slice(1);
		const beside =
			like.length > 0
				? `; not told apart from ${like.map(({ levels }) => levels[of]).join(', ')}`
				: ', above all others';
		return [
			`${of} makes a difference (${chanceText(row.p)}): ${best.levels[of]} has most, ${amount(best.mean)}, ${amount(best.mean - worst.mean)} above ${worst.levels[of]}${beside}.${hsd === null ? '' : ` Two of them must be ${amount(hsd)} apart to be told apart.`}`
		];
	});
	return [
		...sentences,
		...together.map(
			({ source, p }) =>
				`${source.split(':').join(' and ')} work by one another (${chanceText(p)}): go by their combinations.`
		)
	].join(' ');
}

function shares(one: string | null, other: string | null): boolean {
	return one !== null && other !== null && [...one].some((letter) => other.includes(letter));
}

const LEAST_CHANCE = 0.001;

/** A chance as it is told: p 0.023, or p below 0.001. */
export function chanceText(p: number | null): string {
	return p === null ? 'not tested' : p < LEAST_CHANCE ? 'p below 0.001' : `p ${p.toFixed(3)}`;
}

/** To a tenth, or to three figures where it is below one. */
function amount(value: number): string {
	return String(Math.abs(value) < 1 ? Number(value.toPrecision(3)) : Math.round(10 * value) / 10);
}
