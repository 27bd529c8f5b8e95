import { chosenRate, type Choice } from '../../rates/choose';
import type { HouseProgramme, ProgrammeRate, Rate } from '../../schema-types';

/** The choices a house programme makes on a field, and in words where it could not make its first. */
export interface HouseChoices {
	choices: Choice[];
	notes: string[];
}

/**
 * Chooses for each nutrient of a programme the first of its methods that gives a rate here. A simulated curve is never chosen for the
 * adviser: it has to be wanted.
 * @param rates of the field, in US units
 */
export function houseChoices({ rates: wanted }: HouseProgramme, rates: readonly Rate[]): HouseChoices {
	const choices: Choice[] = [];
	const notes: string[] = [];
	for (const one of wanted) {
		const { choice, note } = choiceOf(one, rates);
		if (choice) choices.push(choice);
		if (note) notes.push(note);
	}
	return { choices, notes };
}

function choiceOf(
	{ nutrient, methods, bothYears }: ProgrammeRate,
	rates: readonly Rate[]
): { choice?: Choice; note?: string } {
	const refused: string[] = [];
	for (const method of methods) {
		const rate = rates.find((candidate) => candidate.method === method && candidate.nutrient === nutrient);
		const once: Choice = { nutrient, method };
		const twice: Choice = { ...once, bothYears: true };
		const choice = [...(bothYears ? [twice] : []), once].find((candidate) => chosenRate(candidate, rates));
		if (!choice || rate?.simulated) {
			refused.push(whyNot(method, rate));
			continue;
		}
		const note = [
			refused.length > 0 ? `${nutrient} by ${rate!.packTitle}: ${refused.join('; ')}` : '',
			bothYears && choice === once ? `${nutrient} for this crop alone: no rate for two years` : ''
		].filter(Boolean);
		return note.length > 0 ? { choice, note: note.join('; ') } : { choice };
	}
	return { note: `${nutrient} stays open: ${refused.join('; ')}` };
}

function whyNot(method: string, rate: Rate | undefined): string {
	if (!rate) return `“${method}” is in no guide in use`;
	if (rate.simulated) return `${rate.packTitle} is a simulated curve`;
	const reason = rate.reason ?? 'it gives one application, not a season';
	return `${rate.packTitle} does not apply, because ${firstSentence(reason)}`;
}

/** What to do about it stands under Rates; a list of many fields has room for the reason alone. */
function firstSentence(text: string): string {
	return text.split(/\.(?:\s|$)/)[0]!;
}
