import { readResult } from '../../soil/read-result';
import type { ReportCheck } from '../finding';

/** Points by which a lab's own percentages may miss 100: common practice. */
const SLACK_PERCENT = 2;
const SHARES = ['satCa', 'satMg', 'satK', 'satNa', 'satH', 'satAl'] as const;

/** A lab's own percentages of CEC have to make 100, or one of them is wrong. */
export const labShares: ReportCheck = ({ site: { soil } }) => {
	const given = SHARES.map((analyte) => readResult(soil, analyte)).filter((share) => share.applies);
	const hasBasesAndAcid = (['satCa', 'satMg', 'satK', 'satH'] as const).every(
		(analyte) => readResult(soil, analyte).applies
	);
	const total = given.reduce((sum, { value }) => sum + value, 0);
	if (!hasBasesAndAcid || Math.abs(total - 100) <= SLACK_PERCENT) return [];
	return [
		{
			code: 'lab-shares-sum',
			severity: 'mind',
			text: `The lab’s own shares of CEC add up to ${+total.toFixed(1)} %, not 100.`,
			remedy:
				'Check them against the lab’s paper; shares worked out here from ppm and CEC are used where both are given.'
		}
	];
};
