import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../../figure/figure';
import type { RuleKind } from '../../../packs/rule-kind';

export const standParameters = {
	type: 'object',
	additionalProperties: false,
	required: ['bands', 'hungryRate', 'questionBelow'],
	properties: {
		bands: {
			type: 'array',
			minItems: 1,
			description: 'From the thinnest stand up; each from where the one before ends, its rate falling evenly.',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['rate'],
				properties: {
					below: { type: 'number', exclusiveMinimum: 0, description: 'stems per ft2; none for the last' },
					rate: { type: 'number', minimum: 0, description: 'lb N/ac at the lower end' },
					fallingTo: { type: 'number', minimum: 0, description: 'lb N/ac at the upper end' }
				}
			}
		},
		hungryRate: { type: 'number', minimum: 0, description: 'lb N/ac at least where the crop looks hungry' },
		questionBelow: { type: 'number', minimum: 0, description: 'stems per ft2 under which the stand is in question' }
	}
} as const;

export type StandParameters = FromSchema<typeof standParameters>;

/** The band a count falls into, with where it begins. */
export function bandOf({ bands }: StandParameters, tillers: number) {
	const at = bands.findIndex(({ below }) => below === undefined || tillers < below);
	const band = bands[at]!;
	return { from: at === 0 ? 0 : bands[at - 1]!.below!, below: band.below, rate: band.rate, fallingTo: band.fallingTo };
}

/** The rate of a count by its band alone, lb N/ac; the jumps between the bands are left as they are. */
export function rateByBand(p: StandParameters, tillers: number): number {
	if (Number.isNaN(tillers)) return NaN;
	const { from, below, rate, fallingTo } = bandOf(p, tillers);
	if (fallingTo === undefined || below === undefined) return rate;
	return rate - ((rate - fallingTo) * (tillers - from)) / (below - from);
}

/** Words for a band, "30 to 50 per ft2". */
export function bandText({ from, below }: ReturnType<typeof bandOf>): string {
	if (below === undefined) return `${from} and more per ft2`;
	return from === 0 ? `fewer than ${below} per ft2` : `${from} to ${below} per ft2`;
}

/** lb N/ac by the band alone, whatever the crop looks like. */
const steps = { byBand: NaN };

/** Nitrogen of the tillering application by the stems counted, lb N/ac for this dressing alone. */
export const standCount: RuleKind<StandParameters, typeof steps> = {
	kind: 'stand-count',
	parameters: standParameters,
	test: 'tillers',
	covers: 'for this dressing',
	steps,
	needs: () => ['tillersPerFt2', 'leastDressing'],
	compute(p, { tillersPerFt2, leastDressing }, s) {
		s.byBand = rateByBand(p, tillersPerFt2);
		return Math.max(s.byBand, leastDressing);
	},
	explain(p, { tillersPerFt2, leastDressing }, words, { byBand, rate }) {
		const band = bandOf(p, tillersPerFt2.value);
		const text = bandText(band);
		const falling = band.fallingTo === undefined ? '' : `, ${band.rate} falling to ${band.fallingTo} lb`;
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula:
				leastDressing.value > byBand
					? `${text}: none, but the crop looks hungry`
					: `${text}${byBand === 0 ? ': none' : falling}`,
			inputs: [tillersPerFt2, leastDressing],
			basis: words.basis,
			citation: words.citation,
			cautions: [
				...(words.cautions ?? []),
				...(tillersPerFt2.value < p.questionBelow
					? [`Fewer than ${p.questionBelow} per ft2: ask first whether the stand is worth keeping.`]
					: [])
			]
		});
	}
};
