import { expect, it } from 'vitest';
import { advise } from '../../rates/advise';
import type { Block, BlockYear } from '../../schema-types';
import { cornRequest, library } from '../../testing.test-help';

const said = (yieldGoal: number, bears: Block['bears'], bearing: BlockYear['bearing']) => {
	const crop = { id: 'apple', yieldGoal, year: 2027, block: { plantedYear: 2010, bears }, blockYear: { bearing } };
	const { findings } = advise({ ...cornRequest(), crop }, library, '2026-11-29');
	return findings.find(({ code }) => code === 'off-year')?.text;
};
const full = library.crops.find(({ id }) => id === 'apple')!.usualGoal;

it('a full crop in the off year is asked about; a small one, an on year and a steady block are not', () => {
	expect(said(full, 'every other year', 'off')).toContain(`the expected crop of ${full} ton/ac is that of a full one`);
	expect(said(full - 1, 'every other year', 'off')).toBeUndefined();
	expect(said(full, 'every other year', 'on')).toBeUndefined();
	expect(said(full, 'every year', 'off')).toBeUndefined();
});
