import { figure, notApplicable, type Answer } from '../figure/figure';
import { rulesGiving, type PackSet } from '../packs/pack';
import { applyRule } from './apply-rule';
import type { HoldingParameters } from './holding-limit';
import { mineralNitrogen } from './mineral-nitrogen';
import type { Site } from './site';
import { siteInputs } from './site-inputs';

/** Room that a growing crop and a slow product make in season, as the guide allows it. */
export type HoldingAllowances = Required<
	Pick<HoldingParameters, 'seasonDays' | 'seasonShareOfLimit' | 'slowReleaseShareOfLimit'>
>;

/** What the ground can hold of nitrogen at one time and how much of that is free, lb N/ac. */
export interface HoldingRoom {
	limit: Answer;
	/** limit - mineral N; does not apply where either is unknown. */
	room: Answer;
	allowances: HoldingAllowances;
}

/** The holding limit by the first pack that gives one, and the room left in it. */
export function readHoldingRoom(site: Site, packs: PackSet): HoldingRoom {
	const rule = rulesGiving(packs, 'holding-limit')[0];
	const label = 'room for nitrogen in the ground';
	const limit = rule
		? applyRule(rule, site, siteInputs)
		: notApplicable('holding limit', 'no pack gives a holding limit', 'Add a pack with one.');
	const p = rule?.parametersFor(site.crop.id) as HoldingParameters | undefined;
	const { seasonDays = 0, seasonShareOfLimit = 0, slowReleaseShareOfLimit = 0 } = p ?? {};
	const allowances = { seasonDays, seasonShareOfLimit, slowReleaseShareOfLimit };
	if (!limit.applies) return { limit, allowances, room: notApplicable(label, limit.reason, limit.remedy) };
	const held = mineralNitrogen(site.layers);
	if (!held.applies) return { limit, allowances, room: notApplicable(label, held.reason, held.remedy) };
	const room = figure({
		label,
		value: Math.max(0, limit.value - held.value),
		unit: limit.unit,
		formula: held.value > limit.value ? 'the ground already holds more: none' : 'holding limit - mineral N',
		inputs: [limit, held],
		basis: limit.basis,
		citation: limit.citation
	});
	return { limit, room, allowances };
}
