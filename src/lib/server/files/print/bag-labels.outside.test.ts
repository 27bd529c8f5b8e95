// The labels of bags as a printer and a phone see them: pages and paper by poppler, codes by zbar (both from Debian).
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { bagCode } from '../../../../core/ground/sampling/bag-code';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { BagRecord } from '../../stores/sampling/bags';
import { bagLabels, LABELS_A_PAGE } from './bag-labels';
import { pdfOf } from './pdf';

const hasTools = ['pdftoppm', 'zbarimg'].every((tool) => spawnSync(tool, ['--version']).error === undefined);
const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-labels-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const bags = Array.from({ length: 40 }, (_, at): BagRecord => ({
	id: String(at),
	code: bagCode(2027, at + 1),
	fieldId: 'f',
	field: 'The Long Meadow behind the Old Orchard',
	grower: 'Quillet Bros and Tarrow & Daughters, together',
	bag: {
		zone: 'Bottom, dark ground beside the creek',
		depth: { top: 0, bottom: 6, depthUnit: 'in' },
		cores: 15,
		plannedOn: '2026-11-16',
		round: 'r'
	},
	sampleId: null
}));

async function print(units: UnitSystem, skip: number): Promise<string> {
	const file = path.join(folder, `${units}-${skip}.pdf`);
	writeFileSync(file, await pdfOf(bagLabels(bags, units, skip, '2026-11-23')));
	return file;
}
/** What a scanner reads on a page. */
function codesOn(file: string, page: number): string[] {
	const picture = file.replace('.pdf', `-${page}`);
	execFileSync('pdftoppm', ['-r', '300', '-png', '-singlefile', '-f', String(page), '-l', String(page), file, picture]);
	const read = execFileSync('zbarimg', ['-q', '--raw', '--nodbus', `${picture}.png`], { encoding: 'utf8' });
	return read.trim().split('\n').sort();
}
const codes = (from: number, to: number) => bags.slice(from, to).map(({ code }) => code);

describe.runIf(hasTools)('labels for bags', () => {
	it('are thirty to a page, and every code is read back', async () => {
		const file = await print('us', 0);
		expect(codesOn(file, 1)).toEqual(codes(0, LABELS_A_PAGE));
		expect(codesOn(file, 2)).toEqual(codes(LABELS_A_PAGE, 40));
		expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(/Pages:\s+2\n[^]*612 x 792 pts \(letter\)/);
	});

	it('begin behind the labels that were used, on A4 where the book is metric', async () => {
		const file = await print('metric', 28);
		expect(codesOn(file, 1)).toEqual(codes(0, 2));
		expect(codesOn(file, 2)).toEqual(codes(2, 32));
		expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(/Pages:\s+3\n[^]*\(A4\)/);
	});

	// 2 5/8 by 1 in, three across with 1/8 in between: 72 pt high, 198 pt from one to the next.
	it('keep what they say within their edges, however long the names are', async () => {
		const words = execFileSync('pdftotext', ['-bbox', await print('us', 0), '-'], { encoding: 'utf8' });
		const boxes = [...words.matchAll(/xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)"/g)].map((match) =>
			match.slice(1).map(Number)
		);
		expect(boxes.length).toBeGreaterThan(40 * 10);
		for (const [left = 0, top = 0, right = 0, bottom = 0] of boxes) {
			const column = Math.floor((left - 13.5) / 198);
			const row = Math.floor((top - 36) / 72);
			expect(right).toBeLessThanOrEqual(13.5 + column * 198 + 189);
			expect(bottom).toBeLessThanOrEqual(36 + (row + 1) * 72);
		}
	});
});
