import { csvLinesWithoutNotes } from '../../check/csv-lines';
import type { CalibrateRequest } from '../../schema-types';

type Site = CalibrateRequest['observations'][number];

/** Sites of a pasted table, or the lines that are in the way. */
export interface SitesText {
	sites: Site[];
	faults: string[];
}

/** Words in a heading that tell what a column holds, the narrower before the wider. */
const HEADINGS = {
	relative: /relative|percent|^ry\b/i,
	without: /without|check|zero|control/i,
	plenty: /plenty|with\b|rich|most/i,
	soilTest: /test|ppm|leaf|soil/i,
	site: /site|field|farm|place/i
} as const;
const MOST_TEST = 1_000_000;
const MOST_RELATIVE = 200;
const MOST_YIELD = 1_000_000;

/**
 * Reads sites from pasted text or CSV: the test, and relative yield in percent or the yields without and with plenty, by their
 * headings; without headings test, relative yield and site. Lines that begin with # are notes; no line is left out unsaid.
 */
export function readSites(text: string): SitesText {
	const rows = csvLinesWithoutNotes(text);
	const [first] = rows;
	if (!first) return { sites: [], faults: [] };
	const named = first.cells.some((cell) => cell !== '' && Number.isNaN(Number(cell))) && isHeading(first.cells);
	const find = (pattern: RegExp) => first.cells.findIndex((cell) => pattern.test(cell));
	const at = named
		? {
				relative: find(HEADINGS.relative),
				without: find(HEADINGS.without),
				plenty: find(HEADINGS.plenty),
				soilTest: find(HEADINGS.soilTest),
				site: find(HEADINGS.site)
			}
		: { soilTest: 0, relative: 1, site: 2, without: -1, plenty: -1 };
	if (at.soilTest < 0 || (at.relative < 0 && (at.without < 0 || at.plenty < 0))) {
		const told = first.cells.join(', ');
		return {
			sites: [],
			faults: [
				`line ${first.line} must name a test, and a relative yield or yields without and with plenty; got “${told}”`
			]
		};
	}
	const faults: string[] = [];
	const sites = (named ? rows.slice(1) : rows).flatMap(({ line, cells }): Site[] => {
		const number = (column: number, name: string, most: number, above = false): number => {
			const cell = cells[column] ?? '';
			const value = cell === '' ? NaN : Number(cell);
			if ((above ? value > 0 : value >= 0) && value <= most) return value;
			faults.push(`line ${line}: the ${name} must be a number ${above ? 'above' : 'from'} 0 to ${most}; got “${cell}”`);
			return NaN;
		};
		const soilTest = number(at.soilTest, 'test', MOST_TEST, true);
		const relativeYield =
			at.relative >= 0
				? number(at.relative, 'relative yield', MOST_RELATIVE)
				: (100 * number(at.without, 'yield without', MOST_YIELD)) /
					number(at.plenty, 'yield with plenty', MOST_YIELD, true);
		const site = cells[at.site];
		return Number.isFinite(soilTest) && Number.isFinite(relativeYield)
			? [{ soilTest, relativeYield: Math.round(relativeYield * 100) / 100, ...(site ? { site } : {}) }]
			: [];
	});
	return { sites, faults };
}

/** A first line of sites has a number first; a heading has none. */
function isHeading(cells: readonly string[]): boolean {
	return cells.every((cell) => cell === '' || Number.isNaN(Number(cell)));
}
