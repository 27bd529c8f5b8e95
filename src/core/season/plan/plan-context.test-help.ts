import { figure } from '../../figure/figure';
import type { CropId } from '../../schema-types';
import { library } from '../../testing.test-help';
import { forSowing } from '../schedule/for-sowing';
import type { PlanContext } from './plan-context';

/** A plan of a crop on ground that holds 160 lb N/ac, with nothing chosen and nothing applied. */
export function planContext(change: Partial<PlanContext> & { cropId?: CropId } = {}): PlanContext {
	const { cropId = 'corn-grain', ...rest } = change;
	const plantingDate = rest.plantingDate ?? (cropId === 'winter-wheat' ? '2026-10-05' : '2027-05-01');
	const limit = figure({ label: 'holding limit', value: 160, unit: 'lb/ac', basis: 'practice' });
	return {
		crop: library.crops.find(({ id }) => id === cropId)!,
		chosen: {},
		choiceFacts: {},
		holdingLimit: limit,
		holdingRoom: limit,
		allowances: { seasonDays: 14, seasonShareOfLimit: 0.25, slowReleaseShareOfLimit: 0.1 },
		yieldGoal: 180,
		applied: [],
		notBefore: undefined,
		tilleringN: undefined,
		tillersCountedOn: undefined,
		manured: false,
		schedule: forSowing(library.schedules, cropId, plantingDate),
		extras: library.extras,
		starter: undefined,
		liming: { product: 'aglime', placement: 'incorporated' },
		products: library.products,
		today: '2026-05-01',
		plantingDate,
		cec: 16,
		sandy: false,
		drainage: undefined,
		slopePercent: undefined,
		soilPh: 6.5,
		rowSpacingIn: undefined,
		placed: undefined,
		limits: library.seasonLimits,
		model: library.seasonModel,
		stages: forSowing(library.stages, cropId, plantingDate),
		weather: { days: new Map(), outlookFrom: '2026-11-23', madeUp: true },
		houseRules: { noGo: [] },
		cropBefore: undefined,
		setbacks: [],
		block: undefined,
		plantAge: undefined,
		station: library.stations[0]!,
		units: 'us',
		...rest
	};
}
