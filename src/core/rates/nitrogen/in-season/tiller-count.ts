import { knownParameters } from '../../../packs/parameters-of';
import { figure, notApplicable, type Answer } from '../../../figure/figure';
import type { CompiledRule } from '../../../packs/pack';
import type { Site } from '../../../reading/site';
import type { TillerCount } from '../../../schema-types';
import { formatNumber } from '../../../units/display';
import { bandOf, bandText, standCount, type StandParameters } from './stand-count';
import { longDate } from '../../../units/day-text';

/** Inches of row that are counted. */
const COUNTED_IN = 12;
/** Spots below this tell little of how the field differs: common practice. */
const FEW_SPOTS = 3;
/** Of the mean, above which the spots differ much: judgement. */
const WIDE_SPREAD = 0.25;
/** By early March tillering is over; month and day. */
const TILLERING_ENDS = '03-10';
const HARVEST_BY = '07-01';
const COUNT_FROM = '01-20';

/** Spots of a count, stems per ft2, with their mean and their standard deviation (of a sample, n - 1). */
export function tillerStatistics({ counts, rowSpacingIn }: TillerCount) {
	const spots = counts.map((count) => (count * COUNTED_IN) / rowSpacingIn);
	const mean = spots.reduce((sum, spot) => sum + spot, 0) / spots.length;
	const squares = spots.reduce((sum, spot) => sum + (spot - mean) ** 2, 0);
	return { spots, mean, deviation: spots.length > 1 ? Math.sqrt(squares / (spots.length - 1)) : undefined };
}

/**
 * Stems with three or more leaves, per ft2: count x 12 / row spacing in inches, the mean of the spots, with a note on
 * how much they differ and how sure the band is.
 */
export function readTillers(site: Site, compiled: CompiledRule): Answer {
	const count = site.inSeason.tillers;
	const label = 'stems per ft2';
	if (!count) {
		return notApplicable(
			label,
			'no tiller count is recorded',
			'Count stems with three or more leaves in 12 in of row at several spots, late January to early February.',
			'a tiller count'
		);
	}
	if (isTooLate(count)) {
		return notApplicable(
			label,
			`the ${count.counts.length === 1 ? 'spot' : `${count.counts.length} spots`} counted ${count.date === undefined ? '' : `on ${longDate(count.date)} `}come too late for tillers: by early March tillering is over`,
			'What is left to do: the main application at stem elongation (Feekes 5 to 6), by its own rate.'
		);
	}
	const p = knownParameters(standCount, compiled, site.crop.id);
	const { spots, mean } = tillerStatistics(count);
	return figure({
		label: `${label}, ${spots.length === 1 ? '1 spot' : `mean of ${spots.length} spots`}`,
		value: mean,
		unit: 'per ft2',
		formula: `count x 12 / ${count.rowSpacingIn} in`,
		inputs: count.counts.map((value, at) =>
			figure({ label: `spot ${at + 1}`, value, unit: 'stems in 12 in of row', basis: 'measured' })
		),
		basis: 'measured',
		cautions: [...spreadNotes(count, p), ...seasonNotes(count)]
	});
}

function spreadNotes(count: TillerCount, p: StandParameters): string[] {
	const { spots, mean, deviation } = tillerStatistics(count);
	const number = (value: number) => formatNumber(value, 'in');
	const band = bandOf(p, mean);
	const elsewhere = spots.filter((spot) => bandText(bandOf(p, spot)) !== bandText(band));
	const notes: string[] = [];
	if (spots.length < FEW_SPOTS) {
		notes.push(`Counted at ${spots.length === 1 ? 'one spot' : `${spots.length} spots`} only; count at three or more.`);
	}
	if (deviation !== undefined && (elsewhere.length > 0 || deviation > WIDE_SPREAD * mean)) {
		const range = `${number(Math.min(...spots))} to ${number(Math.max(...spots))} per ft2`;
		const others =
			elsewhere.length > 0
				? ` ${elsewhere.length} of ${spots.length} spots fall outside the band of the mean (${bandText(band)}): not sure; count more, or dress the parts by themselves.`
				: ' All fall into one band.';
		notes.push(`The spots differ: ${range}, standard deviation ${number(deviation)}.${others}`);
	}
	return notes;
}

function seasonNotes({ date }: TillerCount): string[] {
	const monthDay = date?.slice(5);
	if (monthDay === undefined || (monthDay >= COUNT_FROM && monthDay < HARVEST_BY)) return [];
	return ['Counted before late January; tillers may still come. Count again late January to early February.'];
}

/** Counted after tillering: what it says can make no tillers any more. */
function isTooLate({ date }: TillerCount): boolean {
	const monthDay = date?.slice(5);
	return monthDay !== undefined && monthDay > TILLERING_ENDS && monthDay < HARVEST_BY;
}

/** The least dressing, lb N/ac: some where the crop looks hungry, whatever the count. */
export function readLeastDressing(site: Site, compiled: CompiledRule): Answer {
	const { rule } = compiled;
	const { hungryRate } = knownParameters(standCount, compiled, site.crop.id);
	const hungry = site.inSeason.tillers?.looksHungry === true;
	return figure({
		label: hungry ? 'at least, because the crop looks hungry' : 'at least (the crop does not look hungry)',
		value: hungry ? hungryRate : 0,
		unit: 'lb/ac',
		basis: rule.basis,
		citation: rule.citation
	});
}
