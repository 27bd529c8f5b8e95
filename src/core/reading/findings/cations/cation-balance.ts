import { formatNumber } from '../../../units/display';
import { baseCation, baseSaturation } from '../../soil/cec';
import { readResult } from '../../soil/read-result';
import type { Finding, ReportCheck } from '../finding';

/** % of CEC under which magnesium may fall short, and of sodium above which structure is at risk: common practice. */
const LOW_MAGNESIUM_PERCENT = 10;
const HIGH_SODIUM_PERCENT = 5;

/** Notes on how the cations stand to each other; a balance note is a reason to look, not a rate. */
export const cationBalance: ReportCheck = ({ site: { soil }, cec }) => {
	const shares = baseSaturation(soil, cec);
	const potassium = readResult(soil, 'K');
	const magnesium = readResult(soil, 'Mg');
	const calciumHeld = baseCation(soil, 'Ca');
	const magnesiumHeld = baseCation(soil, 'Mg');
	const notes: Finding[] = [];
	const reasons = [
		...(potassium.applies && magnesium.applies && potassium.value > magnesium.value
			? [
					`K (${formatNumber(potassium.value, 'ppm')} ppm) stands above Mg (${formatNumber(magnesium.value, 'ppm')} ppm)`
				]
			: []),
		...(shares.Mg && shares.Mg.value < LOW_MAGNESIUM_PERCENT
			? [`Mg is ${formatNumber(shares.Mg.value, '%')} % of CEC`]
			: [])
	];
	if (reasons.length > 0) {
		notes.push({
			code: 'magnesium-low',
			severity: 'note',
			text: `Magnesium may fall short: ${reasons.join(', and ')}.`,
			remedy: 'Lime with dolomitic lime if lime is due; else a magnesium source, and go easy on potash.'
		});
	}
	if (calciumHeld.applies && magnesiumHeld.applies && magnesiumHeld.value > calciumHeld.value) {
		notes.push({
			code: 'calcium-under-magnesium',
			severity: 'mind',
			text: `There is more Mg (${formatNumber(magnesiumHeld.value, 'meq/100 g')} meq) than Ca (${formatNumber(calciumHeld.value, 'meq/100 g')} meq): serpentine ground.`,
			remedy: 'Calcium put on the soil will not fix it; feed calcium to the leaf, and lime only with calcitic lime.'
		});
	}
	if (shares.Na && shares.Na.value > HIGH_SODIUM_PERCENT) {
		notes.push({
			code: 'sodium-high',
			severity: 'mind',
			text: `Sodium is ${formatNumber(shares.Na.value, '%')} % of CEC: the structure is at risk.`,
			remedy: 'Look to drainage first; then gypsum and water to leach.'
		});
	}
	return notes;
};
