import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { PackSet } from '../../packs/pack';
import { readHoldingRoom } from '../../reading/holding-room';
import type { Site } from '../../reading/site';
import type { NitrogenAccount } from '../../schema-types';
import { inSystem, type UnitSystem } from '../../units/rate-units';
import { debtOfNitrogen, debtOfProgramme } from '../lime/lime-debt';
import { nitrogenBalance } from './balance';
import { allBroughtNitrogen } from './credits';

/** What the nitrogen settled on leaves behind, what acid it makes, and the passes that the ground forces. */
export function nitrogenAccount(site: Site, packs: PackSet, units: UnitSystem): NitrogenAccount {
	const { nitrogenRate, crop, yieldGoal, programme } = site;
	if (nitrogenRate === undefined) {
		const open = (label: string) =>
			notApplicable(label, 'no nitrogen rate is settled on', 'Choose the nitrogen rate first.');
		return {
			balance: open('nitrogen balance'),
			limeDebt: open('lime to offset acidity of the nitrogen'),
			leastPasses: open('passes that the ground forces')
		};
	}
	const nitrogen = figure({ label: 'nitrogen settled on', value: nitrogenRate, unit: 'lb/ac', basis: 'adviser' });
	const goal = figure({ label: 'yield goal', value: yieldGoal, unit: crop.yieldUnit, basis: 'adviser' });
	return {
		balance: inSystem(nitrogenBalance(crop, withBrought(nitrogen, site), goal), units),
		limeDebt: inSystem(debtOfProgramme(programme) ?? debtOfNitrogen(nitrogen), units),
		leastPasses: leastPasses(nitrogen.value, site, packs)
	};
}

/** The nitrogen settled on with what reaches the crop another way: all of it is taken off or left. */
function withBrought(nitrogen: Figure, site: Site): Figure {
	const brought = allBroughtNitrogen(site);
	if (!brought) return nitrogen;
	return figure({
		label: 'nitrogen settled on, and what comes beside it',
		value: nitrogen.value + brought.value,
		unit: 'lb/ac',
		formula: 'settled on + beside the passes',
		inputs: [nitrogen, brought],
		basis: 'adviser'
	});
}

/** Passes so that none puts on more than the soil can take up at one time. */
function leastPasses(nitrogenRate: number, site: Site, packs: PackSet): Answer {
	const label = 'passes that the ground forces';
	const { limit, room } = readHoldingRoom(site, packs);
	const ceiling = room.applies ? room : limit;
	if (!ceiling.applies) return notApplicable(label, ceiling.reason, ceiling.remedy);
	if (ceiling.value === 0) {
		return notApplicable(label, 'the ground already holds all it can', 'Wait until the crop has taken some up.');
	}
	return figure({
		label,
		value: Math.ceil(nitrogenRate / ceiling.value - 1e-9),
		unit: '',
		formula: `nitrogen / ${room.applies ? 'room' : 'holding limit, because soil mineral N is not known'}, rounded up`,
		inputs: [figure({ label: 'nitrogen settled on', value: nitrogenRate, unit: 'lb/ac', basis: 'adviser' }), ceiling],
		basis: ceiling.basis,
		citation: ceiling.citation,
		cautions: ['In season the soil can take more at one time, as the crop takes nitrogen up.']
	});
}
