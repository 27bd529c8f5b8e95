import { baseSaturation } from '../../soil/cec';
import type { ReportCheck } from '../finding';

/** Points by which Ca, Mg, K and Na may pass 100 % of a measured CEC before something is wrong: common practice. */
const SLACK_PERCENT = 2;

/** Bases that fill more than the whole CEC point to free lime, to salts, or to a slip. */
export const cationsOverCec: ReportCheck = ({ site: { soil }, cec }) => {
	const total = Object.values(baseSaturation(soil, cec)).reduce((sum, share) => sum + share.value, 0);
	if (total <= 100 + SLACK_PERCENT) return [];
	return [
		{
			code: 'cations-over-cec',
			severity: 'mind',
			text: `Ca, Mg, K and Na add up to ${Math.round(total)} % of CEC.`,
			remedy: 'Free lime or salts read as cations; ask the lab for CEC by a method that leaves free lime out.'
		}
	];
};
