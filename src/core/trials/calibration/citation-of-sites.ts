import type { CalibrateRequest, CalibrationFit } from '../../schema-types';
import { MODEL_TITLES } from './model-titles';

/** Sites that are named in a citation; more are counted. */
const MOST_NAMED = 40;
const DIGITS = 4;

/** What a critical value stands on: how many sites, read how, with its range, and which they are. */
export function citationOfSites(
	sites: CalibrateRequest['observations'],
	model: CalibrationFit['model'],
	critical: number,
	interval: CalibrationFit['interval'],
	unit: string
): string {
	const names = sites.map(({ site }, at) => site ?? `site ${at + 1}`);
	const more = names.length - MOST_NAMED;
	const listed = `${names.slice(0, MOST_NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
	const range = interval ? ` (90 % of draws ${roundedCritical(interval[0]!)} to ${roundedCritical(interval[1]!)})` : '';
	return `${sites.length} own sites, ${MODEL_TITLES[model]}: critical value ${critical} ${unit}${range}. Sites: ${listed}.`;
}

/** A critical value as it is kept and told. */
export function roundedCritical(value: number): number {
	return Number(value.toPrecision(DIGITS));
}
