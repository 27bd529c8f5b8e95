import { formatNumber, formatQuantity } from './display';
import { unitInSystem, valueInSystem, type UnitSystem } from './rate-units';

/** A sentence that says an amount of an area in the reader's units. */
export interface AmountText {
	/** "84.2 lb", or "94.4 kg": of an acre or a hectare, which the sentence need not say; a threshold is said whole. */
	(lbAc: number, digits?: 'whole'): string;
	/** Without its unit, where the sentence said it before. */
	bare(lbAc: number, digits?: 'whole'): string;
	/** "84.2 lb N/ac" or "94.4 kg N/ha". */
	ofArea(lbAc: number, of: string): string;
}

/** Below this, tenths hide what matters of boron or zinc. */
const FINE_BELOW = 5;

/** How sentences say pounds per acre to a reader of these units. Values are kept and compared in lb/ac all the same. */
export function amountText(units: UnitSystem): AmountText {
	const unit = unitInSystem('lb/ac', units);
	const [mass, area] = unit.split('/') as [string, string];
	const shown = (lbAc: number) => valueInSystem(lbAc, 'lb/ac', units);
	const bare = (lbAc: number, digits?: 'whole') => {
		const value = shown(lbAc);
		if (digits) return String(Math.round(value));
		return value < FINE_BELOW ? String(Number(value.toFixed(2))) : formatNumber(value, unit);
	};
	const amount = (lbAc: number, digits?: 'whole') => `${bare(lbAc, digits)} ${mass}`;
	return Object.assign(amount, { bare, ofArea: (lbAc: number, of: string) => `${amount(lbAc)} ${of}/${area}` });
}

/** A US amount with its unit as a reader of these units wants it: "62 ac" or "25.1 ha"; from one to another, "6 to 8 in". */
export function quantityIn(units: UnitSystem, value: number | readonly [number, number], unit: string): string {
	const shown = (one: number) => valueInSystem(one, unit, units);
	const to = unitInSystem(unit, units);
	if (typeof value === 'number') return formatQuantity(shown(value), to);
	return `${formatNumber(shown(value[0]), to)} to ${formatQuantity(shown(value[1]), to)}`;
}

/** A harvest without the area it comes from: "160 bu", or "10.04 t". */
export function harvestText(units: UnitSystem, value: number, yieldUnit: string): string {
	return quantityIn(units, value, yieldUnit).replace(/\/\w+$/, '');
}

const MARKED = /\{([\d.]+)(?: to ([\d.]+))? ([^{}]+)\}/g;

/** A text of a pack, whose amounts stand in braces, "{6 to 8 ft} up", as a reader of these units sees it. */
export function amountsIn(units: UnitSystem, text: string): string {
	return text.replace(MARKED, (_, from: string, to: string | undefined, unit: string) =>
		quantityIn(units, to === undefined ? Number(from) : [Number(from), Number(to)], unit)
	);
}
