import { figure, type Figure } from '$core/figure/figure';

/** An amount of the daily model, opening into where it comes from. */
export function modelled(label: string, value: number, unit: string, kind: string): Figure {
	return figure({
		label,
		value,
		unit,
		formula: `daily model of nitrogen and water, a ${kind} simulated year`,
		basis: 'memory',
		citation: 'Screening model: nitrification by an extension table, losses by extension and common practice',
		cautions: ['It shows which way things go, not what will be measured.']
	});
}
