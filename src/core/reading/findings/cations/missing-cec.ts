import type { ReportCheck } from '../finding';

/** Without CEC neither potassium by the CEC guides nor the nitrogen the soil can hold is known. */
export const missingCec: ReportCheck = ({ cec }) =>
	cec.applies
		? []
		: [
				{
					code: 'no-cec',
					severity: 'mind',
					text: 'The report gives no CEC, so what the soil can hold is not known.',
					remedy: cec.remedy
				}
			];
