import { figure, type Figure } from '../../figure/figure';

/** The coefficient of a maintenance that counts straw or stover. */
export const residueParameter = {
	residuePerYield: {
		type: 'number',
		minimum: 0,
		description: 'lb of the oxide more for each unit of yield where all straw or stover is taken off'
	}
} as const;

interface Straw {
	residuePerYield?: number;
}

/** What leaves with the straw or stover, lb/ac: 0 where the guide counts none. */
export function strawTaken({ residuePerYield }: Straw, yieldGoal: number, residueShare: number): number {
	return residuePerYield === undefined ? 0 : residuePerYield * residueShare * yieldGoal;
}

/** The same as a line of the worksheet; none where nothing leaves. */
export function strawLine(
	p: Straw,
	taken: number,
	yieldGoal: Figure,
	residueShare: Figure | undefined,
	unit: string
): Figure[] {
	if (p.residuePerYield === undefined || !residueShare || residueShare.value === 0) return [];
	return [
		figure({
			label: 'straw or stover takes off',
			value: taken,
			unit,
			formula: `yield goal x ${p.residuePerYield} x share taken off`,
			inputs: [yieldGoal, residueShare],
			basis: 'memory',
			citation: 'IPNI nutrient removal tables; the guide itself counts grain alone'
		})
	];
}
