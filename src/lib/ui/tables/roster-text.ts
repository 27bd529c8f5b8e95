import { harvestText, quantityIn } from '$core/units/amount-text';
import type { UnitSystem } from '$core/units/rate-units';
import { ageText } from '$lib/ui/figure/age-text';

/** What a list of fields shows of one, in the units its grower reads. */
interface RosterField {
	units: UnitSystem;
	areaAc: number | null;
	cropName: string | undefined;
	yieldGoal: number | null;
	yieldUnit: string | undefined;
	sampledOn: string | null;
	samples: number;
}

export function areaText({ areaAc, units }: RosterField): string {
	return areaAc === null ? '' : quantityIn(units, areaAc, 'ac');
}

/** "Corn 160 bu"; empty where the year has no crop yet. */
export function cropText({ cropName, yieldGoal, yieldUnit, units }: RosterField): string {
	if (!cropName || yieldGoal === null) return '';
	return `${cropName} ${harvestText(units, yieldGoal, yieldUnit ?? '')}`;
}

/** How old the newest sample is. */
export function sampleText({ sampledOn, samples }: RosterField, today: string): string {
	if (sampledOn) return `${ageText(sampledOn, today)} old`;
	return samples > 0 ? 'no date' : 'none';
}
