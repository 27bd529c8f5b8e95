import type { Pass } from '../../schema-types';
import type { BookedPass } from '../propose/nitrogen-programme';
import { shareOf, standingApplications, type RecordedPass } from './recorded-pass';

/** Stands between the id of a pass and the place of an entry on it. */
const PART = '/';

/**
 * A season as it went: a pass with entries becomes one pass for each of them, with its own day, product, rate and part of the field, and
 * what is left to apply stays planned on the rest of the ground, under the id of the pass. Passes without entries are as they are.
 */
export function whatHappened(passes: readonly RecordedPass[]): BookedPass[] {
	return passes.flatMap((pass) => (pass.applications.length === 0 ? [bare(pass)] : partsOf(pass)));
}

/** The same with its pages' needs left out. */
const bare = ({ plan, doneOn }: BookedPass): BookedPass => ({ plan, doneOn });

function partsOf({ plan, doneOn, applications }: RecordedPass): BookedPass[] {
	const standing = standingApplications(applications);
	if (standing.length === 0) return [bare({ plan, doneOn })];
	const applied = standing.map(({ content }, at): BookedPass => {
		const { appliedOn: date, product, rate, unit } = content.applied;
		const { additive, ...planned } = plan;
		// An inhibitor goes with the product that it was planned for.
		const kept = product === plan.product && additive !== undefined ? { additive } : {};
		const part = { id: `${plan.id}${PART}${at + 1}`, date, product, rate, unit, share: shareOf(content) };
		return { plan: { ...planned, ...kept, ...part }, doneOn: date };
	});
	const left = 1 - applied.reduce((sum, { plan: { share } }) => sum + share!, 0);
	return doneOn !== null || left <= 0 ? applied : [...applied, { plan: { ...plan, share: left }, doneOn: null }];
}

/** A season as it went, each pass on the day on which it was applied; those that are open on their planned ones. */
export function onTheirDays(season: readonly BookedPass[]): Pass[] {
	return season.map(({ plan, doneOn }) => (doneOn === null ? plan : { ...plan, date: doneOn }));
}

/** Of a season as it went, what is on the field. */
export function appliedOf(season: readonly BookedPass[]): Pass[] {
	return season.flatMap(({ plan, doneOn }) => (doneOn === null ? [] : [plan]));
}

/** The id of the pass of the plan that a part belongs to. */
export const passOfPart = (id: string): string => id.split(PART)[0]!;

/** A pass that is open on the rest of the ground, because part of it was applied. */
export const isUnderWay = ({ id, share }: Pass): boolean => share !== undefined && id === passOfPart(id);

/** The pass as it is planned: for the whole field. */
export const wholePass = ({ share: _share, ...whole }: Pass): Pass => whole;

/**
 * The passes as the ground meets them that each of them goes on, for rules on what salt, seed or soil bear: the rest of a pass at its full
 * rate, without what was applied of it on other ground; one that is done with stays in its parts. Sums over the field go by the parts too.
 */
export function asTheGroundMeets(passes: readonly Pass[]): Pass[] {
	const underWay = new Set(passes.filter(isUnderWay).map(({ id }) => id));
	return passes.flatMap((pass) => {
		if (underWay.has(pass.id)) return [wholePass(pass)];
		return underWay.has(passOfPart(pass.id)) ? [] : [pass];
	});
}
