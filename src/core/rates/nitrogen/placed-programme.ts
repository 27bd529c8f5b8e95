import { amountText, type AmountText } from '../../units/amount-text';
import { placementName } from '../../units/placement-name';
import { knownParameters } from '../../packs/parameters-of';
import { figure, notApplicable, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import { mineralNitrogen } from '../../reading/soil/mineral-nitrogen';
import type { Site } from '../../reading/site';
import type { NitrogenPass } from '../../schema-types';
import { placedFactor, type PlacedParameters } from './placed-factor';

const LABEL = 'placed as the factor asks';

/**
 * The nitrogen that the programme puts where and when a placed-and-timed factor is valid, lb N/ac.
 * @returns does not apply, naming the first condition that fails
 */
export function readPlacedNitrogen(site: Site, compiled: CompiledRule): Answer {
	const p = knownParameters(placedFactor, compiled, site.crop.id);
	const passes = (site.programme ?? []).filter(({ nitrogen }) => nitrogen > 0);
	const wanted = `It is valid only for a starter band of at most ${amountText(site.units)(p.mostStarterLb, 'whole')} of N and the rest at the row base, in ${p.mostPasses} passes at most from V6 on, with soil nitrate known.`;
	if (passes.length === 0) return notApplicable(LABEL, 'no nitrogen passes are planned yet', wanted);
	const failing = programmeFault(passes, p, amountText(site.units));
	if (failing) return notApplicable(LABEL, failing, wanted);
	const residual = mineralNitrogen(site.soil);
	if (!residual.applies) return notApplicable(LABEL, `the residual nitrate is not known`, residual.remedy);
	return figure({
		label: LABEL,
		value: sumOf(passes),
		unit: 'lb/ac',
		formula: 'passes of the programme, with the soil nitrate known',
		inputs: [...passes.map(passFigure), residual],
		basis: 'adviser'
	});
}

/** The first condition of a placed-and-timed factor that a programme does not meet, in words; undefined where all are met. */
export function programmeFault(
	passes: readonly NitrogenPass[],
	p: PlacedParameters,
	say: AmountText
): string | undefined {
	// A light broadcast dressing (weed-and-feed, or what phosphate carries along) stands for a part of the starter.
	const broadcast = passes.filter(({ placement }) => placement === 'broadcast');
	const light = sumOf(broadcast) <= p.mostStarterLb;
	const isStarter = ({ placement }: NitrogenPass) =>
		p.starterPlacements.includes(placement) || (light && placement === 'broadcast');
	const starters = passes.filter(isStarter);
	const rest = passes.filter((pass) => !isStarter(pass));
	const starterLb = sumOf(starters);
	const misplaced = rest.find(({ placement }) => !p.placements.includes(placement));
	if (misplaced)
		return `${nameOf(misplaced)} is ${placementName(misplaced.placement)}, not ${p.placements.map(placementName).join(' or ')}`;
	if (starters.length === 0) return `there is no starter beside the row (${p.starterPlacements.join(' or ')})`;
	if (starterLb > p.mostStarterLb) {
		return `the starter supplies ${say(starterLb)} of N, more than ${say(p.mostStarterLb, 'whole')}`;
	}
	if (rest.length === 0) return 'nothing is placed at the row base after the starter';
	if (rest.length > p.mostPasses) return `${rest.length} passes follow the starter, more than ${p.mostPasses}`;
	const early = rest.find(({ daysFromPlanting }) => daysFromPlanting < p.earliestDaysFromPlanting);
	if (early) {
		return `${nameOf(early)} comes ${early.daysFromPlanting} days from planting, before V6 (taken as ${p.earliestDaysFromPlanting} days)`;
	}
	return undefined;
}

function nameOf({ label }: NitrogenPass): string {
	return label ? `“${label}”` : 'a pass';
}

function passFigure(pass: NitrogenPass) {
	return figure({
		label: `${pass.label ?? 'pass'}, ${placementName(pass.placement)}, ${pass.daysFromPlanting} days from planting`,
		value: pass.nitrogen,
		unit: 'lb/ac',
		basis: 'adviser'
	});
}

function sumOf(passes: readonly NitrogenPass[]): number {
	return passes.reduce((sum, { nitrogen }) => sum + nitrogen, 0);
}
