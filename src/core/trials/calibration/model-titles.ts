import type { CalibrationModel } from '../../schema-types';

/** Ways of reading a critical value as they are named. */
export const MODEL_TITLES: Readonly<Record<CalibrationModel, string>> = {
	'cate-nelson': 'Cate and Nelson split',
	'linear-plateau': 'line and plateau',
	'quadratic-plateau': 'parabola and plateau',
	mitscherlich: 'Mitscherlich at 95 %',
	'arcsine-log': 'arcsine-log line at 95 %'
};
