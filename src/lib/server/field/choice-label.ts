import type { Choice } from '../../../core/rates/choose';
import type { NitrogenTerms, Rate } from '../../../core/schema-types';
import { OBJECTIVES } from '../../objective-names';
import { schoolName } from '../../school-names';

/** What the history says of rates that were settled together. */
export function choiceLabel(choices: readonly Choice[], rates: readonly Rate[], nitrogen?: NitrogenTerms): string {
	const [first, ...others] = choices;
	if (!first) return 'Chose no rate';
	const rate = rates.find(({ method, nutrient }) => method === first.method && nutrient === first.nutrient);
	if (others.length > 0) return `Chose ${rate?.packTitle ?? `${choices.length} rates`} throughout`;
	if (first.method === undefined) return `Set ${first.nutrient} by own judgement`;
	const objective = OBJECTIVES.find(({ id }) => id === nitrogen?.objective);
	if (objective && rate) return `Chose ${objective.name.toLowerCase()} by ${rate.title} for ${first.nutrient}`;
	const school = rate ? schoolName(rate.school).toLowerCase() : first.method;
	return `Chose ${school} for ${first.nutrient}${first.bothYears ? ', both crops in one pass' : ''}`;
}
