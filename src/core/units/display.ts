const DIGITS: Record<string, number> = {
	'lb/ac': 1,
	'kg/ha': 1,
	'short ton/ac': 2,
	't/ha': 2,
	pH: 1,
	ppm: 1,
	'meq/100 g': 1,
	'%': 1,
	'$/ac': 2,
	$: 2,
	'g/cm3': 3,
	in: 1,
	ac: 1,
	ha: 1,
	years: 1,
	lb: 0,
	kg: 0,
	L: 0,
	t: 1,
	'short tons': 2,
	'gal/ac': 1,
	'L/ha': 0,
	gal: 0,
	'gal/min': 2,
	mph: 1,
	'lb/tree': 2,
	'lb/100 ft': 2,
	'kg/100 m': 2,
	'lb/plant': 3,
	'kg/palm': 2,
	'meq/L': 2,
	'dS/m': 2,
	SAR: 2,
	'of the water': 3,
	'lb per acre-foot': 0,
	'gal per acre-foot': 1,
	'gal/h': 1,
	'L/h': 0,
	'lb/gal': 2,
	'kg/L': 3,
	'ac/h': 2,
	'ha/h': 2,
	'g/L': 0,
	'eq/kg': 2,
	'kg/plant': 3,
	'lb/treated ac': 1,
	'kg/treated ha': 1,
	'plants/ac': 1,
	'plants/ha': 1,
	'ft/ac': 0,
	'm/ha': 0,
	'per ft2': 1,
	'bu/ac': 1,
	'ton/ac': 2,
	cm: 0,
	mm: 0,
	m: 1,
	m2: 0,
	'per m2': 0,
	'mm of water': 0,
	'L/min': 2,
	'km/h': 1,
	'kg/tree': 2,
	'kg per t': 1,
	'kg per ML': 0,
	'L per ML': 1
};

/**
 * A number as print shows it: fixed digits by unit, a trailing ".0" dropped, half rounded away from zero, thousands
 * parted from 10,000 on. Only print rounds; every calculation keeps full precision.
 */
export function formatNumber(value: number, unit: string): string {
	const text = plainNumber(value, unit);
	return Math.abs(value) < 10_000 ? text : text.replace(/\B(?=(\d{3})+(?!\d))(?<!\.\d*)/g, ',');
}

/**
 * The same without parted thousands, for files that programs read.
 * @throws RangeError where the value is not finite: what is missing is said in words
 */
export function plainNumber(value: number, unit: string): string {
	if (!Number.isFinite(value)) throw new RangeError(`${value} ${unit} is no number to print`);
	const digits = DIGITS[unit] ?? (isMoney(unit) ? 2 : fitting(value));
	const text = roundTo(value, digits).toFixed(digits);
	return isMoney(unit) ? text : text.replace(/\.0+$/, '');
}

/** A number with its unit, as a sentence would carry it: "$31.20/ac", "84.2 lb/ac", "5.6" for a pH. */
export function formatQuantity(value: number, unit: string): string {
	const number = formatNumber(value, unit);
	if (unit === '' || unit === 'pH') return number;
	if (isMoney(unit)) return `${value < 0 ? '-' : ''}$${number.replace('-', '')}${unit.slice(1)}`;
	return unit === '%' ? `${number} %` : `${number} ${unit}`;
}

/** A number without the noise of binary fractions (4.719999999999999 is 4.72), for answers that programs read. */
export function tidy(value: number, digits = 12): number {
	return Number(value.toPrecision(digits));
}

/** "$", "$/ac", "$/lb N": printed with cents, the sign in front. "$ per short ton" too. */
function isMoney(unit: string): boolean {
	return unit.startsWith('$');
}

/**
 * Coefficients keep up to four digits behind the point, so that 0.37 does not print as 0.4; smaller ones two figures, up to eight
 * digits, so that a chance of 0.00012 does not print as 0.0001.
 */
function fitting(value: number): number {
	for (let digits = 0; digits < 4; digits++) {
		if (Math.abs(roundTo(value, digits) - value) < 1e-9) return digits;
	}
	const size = Math.abs(value);
	return size < 1e-3 ? Math.min(8, 1 + Math.ceil(-Math.log10(size))) : 4;
}

/** Binary fractions sit a hair under the decimal half (1.005); the nudge lets them round as a reader expects. */
function roundTo(value: number, digits: number): number {
	const scale = 10 ** digits;
	const rounded = Math.round(Math.abs(value) * scale * (1 + Number.EPSILON * 4)) / scale;
	return value < 0 && rounded !== 0 ? -rounded : rounded;
}
