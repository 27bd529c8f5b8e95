import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import { acidAmounts } from './acid';
import { allKnown } from '../figure/all-known';

/** meq/L that stay in the water where all but a little is neutralised; common practice says 0.5 to 1. */
const LEFT_MEQ = 1;
const IN_PER_FOOT = 12;

/** What acid is put on by one way of thinking, over a season. */
export interface AcidApproach {
	name: string;
	/** In the water that is treated, meq/L. */
	acid: Answer;
	/** Of 100 % sulfuric acid, lb/ac in the season. */
	sulfuric: Answer;
	/** Of the season's bicarbonate, percent. */
	takenOut: Answer;
	/** $/ac in the season. */
	cost: Answer;
}

interface Season {
	/** Inches put on. */
	water: Answer;
	/** Irrigations in a week, of which the weekly pass treats one. */
	irrigations: Answer;
	/** $ for a pound of 100 % sulfuric acid. */
	price: Answer;
}

/**
 * Three ways of putting acid into hard water side by side: all but 1 meq/L neutralised, to a pH, and to that pH on one
 * irrigation a week; common practice, and opinions differ.
 * @param toPh acid that brings the water to the chosen pH, meq/L
 */
export function acidApproaches(alkalinity: Answer, toPh: Answer, season: Season): AcidApproach[] {
	const nearlyAll = allKnown('acid that leaves 1 meq/L', { alkalinity }, (known) =>
		known.alkalinity.value <= LEFT_MEQ
			? notApplicable(
					'acid that leaves 1 meq/L',
					`the water holds no more than ${LEFT_MEQ} meq/L`,
					'Leave the acid out.'
				)
			: figure({
					label: `acid that leaves ${LEFT_MEQ} meq/L`,
					value: known.alkalinity.value - LEFT_MEQ,
					unit: 'meq/L',
					formula: `alkalinity - ${LEFT_MEQ}`,
					inputs: [known.alkalinity],
					basis: 'practice'
				})
	);
	const always = figure({ label: 'share of the water treated', value: 1, unit: '', basis: 'adviser' });
	const weekly = allKnown('share of the water treated', { irrigations: season.irrigations }, ({ irrigations }) =>
		figure({
			label: 'share of the water treated',
			value: 1 / irrigations.value,
			unit: '',
			formula: '1 / irrigations in a week',
			inputs: [irrigations],
			basis: 'adviser'
		})
	);
	return [
		overSeason('All but 1 meq/L', nearlyAll, always, alkalinity, season),
		overSeason('To the pH, always', toPh, always, alkalinity, season),
		overSeason('To the pH, one irrigation a week', toPh, weekly, alkalinity, season)
	];
}

function overSeason(name: string, acid: Answer, treated: Answer, alkalinity: Answer, season: Season): AcidApproach {
	const sulfuric = allKnown('sulfuric acid in the season', { acid, treated, water: season.water }, (known) => {
		const foot: Figure = acidAmounts(known.acid).sulfuric;
		return figure({
			label: 'sulfuric acid in the season',
			value: (foot.value * known.treated.value * known.water.value) / IN_PER_FOOT,
			unit: 'lb/ac',
			formula: 'acid of an acre-foot x share treated x inches / 12',
			inputs: [foot, known.treated, known.water],
			basis: 'practice'
		});
	});
	return {
		name,
		acid,
		sulfuric,
		takenOut: allKnown('bicarbonate neutralised', { acid, treated, alkalinity }, (known) =>
			figure({
				label: 'bicarbonate neutralised',
				value: (100 * known.acid.value * known.treated.value) / known.alkalinity.value,
				unit: '%',
				formula: 'acid x share treated / alkalinity x 100',
				inputs: [known.acid, known.treated, known.alkalinity],
				basis: 'practice'
			})
		),
		cost: allKnown('acid of the season', { sulfuric, price: season.price }, (known) =>
			figure({
				label: 'acid of the season',
				value: known.sulfuric.value * known.price.value,
				unit: '$/ac',
				formula: 'pounds x price',
				inputs: [known.sulfuric, known.price],
				basis: 'adviser'
			})
		)
	};
}
