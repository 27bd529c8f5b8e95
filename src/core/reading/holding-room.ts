import { holdingLimit } from './holding-limit';
import { parametersOf } from '../packs/parameters-of';
import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import { rulesGiving, type PackSet } from '../packs/pack';
import { applyRule } from './apply-rule';
import type { HoldingParameters } from './holding-limit';
import { mineralNitrogen } from './soil/mineral-nitrogen';
import type { CropId } from '../schema-types';
import type { Site } from './site';
import { SiteReading } from './site-reading';
import { siteInputs } from './site-inputs';

/** Room that a growing crop and a slow product make in season, as the guide allows it. */
export type HoldingAllowances = Required<
	Pick<HoldingParameters, 'seasonDays' | 'seasonShareOfLimit' | 'slowReleaseShareOfLimit'>
>;

/** What the soil can hold of nitrogen at one time and how much of that is free, lb N/ac. */
export interface HoldingRoom {
	limit: Answer;
	/** limit - mineral N; does not apply where either is unknown. */
	room: Answer;
	allowances: HoldingAllowances;
}

/** The holding limit by the first pack that gives one, and the room left in it. */
export function readHoldingRoom(site: Site, packs: PackSet): HoldingRoom {
	const rule = rulesGiving(packs, 'holding-limit')[0];
	const limit = rule
		? applyRule(rule, new SiteReading(site, siteInputs))
		: notApplicable('holding limit', 'no pack gives a holding limit', 'Add a pack with one.');
	const allowances = holdingAllowances(packs, site.crop.id);
	return { limit, allowances, room: roomLeft(limit, mineralNitrogen(site.soil)) };
}

/** What makes more room in season, by the first pack that gives a holding limit; none without one. */
export function holdingAllowances(packs: PackSet, crop: CropId): HoldingAllowances {
	const p = parametersOf(holdingLimit, rulesGiving(packs, 'holding-limit')[0], crop);
	const { seasonDays = 0, seasonShareOfLimit = 0, slowReleaseShareOfLimit = 0 } = p ?? {};
	return { seasonDays, seasonShareOfLimit, slowReleaseShareOfLimit };
}

/** limit - mineral N, never below 0; does not apply where either is unknown. */
export function roomLeft(limit: Answer, held: Answer): Answer {
	const label = 'N capacity left';
	if (!limit.applies) return notApplicable(label, limit.reason, limit.remedy);
	if (!held.applies) return notApplicable(label, held.reason, held.remedy);
	return figure({
		label,
		value: Math.max(0, limit.value - held.value),
		unit: limit.unit,
		formula: held.value > limit.value ? 'the soil already holds more: none' : 'holding limit - mineral N',
		inputs: [limit, held],
		basis: limit.basis,
		citation: limit.citation
	});
}

/** Mineral N that was subtracted from the limit, lb N/ac; 0 where nothing was. */
export function heldIn(room: Figure, limit: Figure): number {
	if (room === limit) return 0;
	const {
		inputs: [, held],
		value
	} = room;
	return held?.applies ? held.value : limit.value - value;
}
