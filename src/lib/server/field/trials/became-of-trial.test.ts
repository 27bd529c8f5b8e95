import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import type { PackDocument } from '../../../../core/schema-types';
import { CURVE_EXAMPLE, GUIDE_EXAMPLE } from '../../api/examples';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { saveGuide } from '../../stores/guides';
import { addCurve } from '../../stores/response-curves';
import { saveOwnLeafRanges } from '../../stores/tests/own-leaf-ranges';
import { listTrials } from '../../stores/trials';
import { becameOfTrial, sourceName } from './became-of-trial';

it('a trial knows the curve, the rule and the leaf ranges that name it as their source, and no others', () => {
	const book = openBook(':memory:');
	fillBook(book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	const rates = listTrials(book).filter(({ plan }) => plan.name === 'N rates');
	const [trial, other] = rates as [(typeof rates)[number], (typeof rates)[number]];
	expect(becameOfTrial(book, trial)).toEqual([]);

	const source = sourceName(trial);
	expect(source).toBe('Upper Saltlick 2026, N rates');
	addCurve(book, { ...CURVE_EXAMPLE, id: 'saltlick', title: 'Saltlick', source });
	const guide = JSON.parse(GUIDE_EXAMPLE) as PackDocument;
	const [first, ...rest] = guide.rules;
	// Names of sites come out of a table without their commas.
	const cited = `3 own sites. Sites: ${source.replace(',', '')}, Far Field 2025 P rates.`;
	saveGuide(
		book,
		{ ...guide, id: 'own', title: 'Own', rules: [{ ...first!, citation: cited }, ...rest] },
		'2026-11-23'
	);
	const ranges = { crop: 'corn-grain', part: 'ear leaf', when: 'silking', ranges: {}, basis: 'adviser' } as const;
	saveOwnLeafRanges(book, [{ ...ranges, citation: cited }], 'Saved leaf ranges');
	expect(becameOfTrial(book, trial)).toEqual([
		{ text: 'curve “Saltlick”', href: '/curves?curve=saltlick' },
		{ text: `rule “${first!.title}” of “Own”`, href: '/guides/own' },
		{ text: 'leaf ranges of ear leaf', href: '/leaf-ranges' }
	]);
	expect(becameOfTrial(book, other)).toEqual([]);
});
