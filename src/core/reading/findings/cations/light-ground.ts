import type { ReportCheck } from '../finding';
import { formatNumber } from '../../../units/display';
import { LIGHT_BELOW_CEC } from '../../soil/light-soil';

/** What light ground asks for, whatever the rates. */
export const lightGround: ReportCheck = ({ cec, site: { crop } }) => {
	if (!cec.applies || cec.value >= LIGHT_BELOW_CEC || crop.perennial) return [];
	return [
		{
			code: 'light-ground',
			severity: 'note',
			text: `CEC ${formatNumber(cec.value, 'meq/100 g')} is light ground: it holds little at one time.`,
			remedy: 'No nitrogen and no potash in autumn, and more, smaller passes.'
		}
	];
};
