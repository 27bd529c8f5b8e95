import { figure, type Figure } from './figure';

/** A number that was measured or counted, as it stands on a worksheet. */
export function measured(label: string, value: number, unit = ''): Figure {
	return figure({ label, value, unit, basis: 'measured' });
}
