import type { Answer } from '../figure/figure';
import { formatQuantity } from './display';
import { unitInSystem, valueInSystem, type UnitSystem } from './rate-units';

/** The step in which spreaders, sprayers and planters are set, by the unit of the rate. Common practice. */
const STEPS: Record<string, number> = {
	'lb/ac': 1,
	'kg/ha': 1,
	'gal/ac': 0.1,
	'L/ha': 1,
	'short ton/ac': 0.05,
	't/ha': 0.05
};
/** Small rates, of granular micronutrients and in-furrow products, are set ten times finer. Common practice. */
const SMALL = 10;

/** A rate of product as a machine is set to it; units that no machine is set in are left as they are. */
export function machineSetting(value: number, unit: string): number {
	const step = STEPS[unit];
	if (step === undefined) return value;
	const finer = value < SMALL && step === 1 ? step / 10 : step;
	// 0.75 is 15 steps, though 0.75 / 0.05 may fall short of it in binary.
	return Math.round(value / finer + 1e-9) * finer;
}

/** The same, set in the units of who drives the machine; the rate comes back in its own unit. */
export function machineSettingIn(value: number, unit: string, system: UnitSystem): number {
	const shown = valueInSystem(1, unit, system);
	return machineSetting(value * shown, unitInSystem(unit, system)) / shown;
}

/** "268 lb/ac" of a rate of 267.9, or the reason why there is none; the worksheet keeps full precision. */
export function settingText(rate: Answer): string {
	return rate.applies ? formatQuantity(machineSetting(rate.value, rate.unit), rate.unit) : rate.reason;
}
