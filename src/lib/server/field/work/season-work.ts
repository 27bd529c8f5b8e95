import { withSeen, type Choice, type Chosen } from '../../../../core/rates/choose';
import type { Followed, Pass, ProgrammeWork } from '../../../../core/schema-types';
import { byHouse } from '../../../../core/season/house/house-schedule';
import { houseChoices } from '../../../../core/season/house/house-choices';
import { programmeFor, whyNotFor, type ProgrammeFacts } from '../../../../core/season/house/programme-fits';
import { roundedPass } from '../../../../core/season/house/rounded-pass';
import { cupLbAc } from '../../../../core/season/plan/pass/palm-cups';
import { productOf } from '../../../../core/season/plan/plan-context';
import { proposeYear } from '../../../../core/season/propose/propose-year';
import { quantityIn } from '../../../../core/units/amount-text';
import { shortDate } from '../../../../core/units/day-text';
import type { UnitSystem } from '../../../../core/units/rate-units';
import { listPasses } from '../../stores/field-years';
import { followedOf, type HouseProgrammeRecord } from '../../stores/plan/house-programmes';
import { writeSeason } from '../../stores/plan/write-season';
import type { FieldRow } from '../../stores/fields';
import { adviceFrom, type Advice } from '../field-year';
import { openPasses } from '../season/open-passes';
import { cannot, type Planned } from './planned';
import type { WorkGround } from './work-ground';

/** Rates by a house programme, and its passes in the place of those not yet applied. An own rate stays: it was given with a reason. */
export function programmeWork(ground: WorkGround, field: FieldRow, { programme: id }: ProgrammeWork): Planned {
	const records = ground.records(field);
	if ('changes' in records) return records;
	const { library, today } = ground;
	const before = adviceFrom(library, records, today);
	const facts = factsOf(before);
	const named = ground.programmes.find((one) => one.id === id);
	const why = named && whyNotFor(named, facts);
	if (why) return cannot(`${named.name} is not for this field: ${why}`);
	const programme = named ?? programmeFor(ground.programmes, facts);
	if (!programme) return cannot(noneFor(ground.programmes, facts, before.crop.name));
	const own = records.choices.filter(({ ownRate }) => ownRate !== undefined);
	const { choices: chosen, notes } = houseChoices(programme, before.answer.rates);
	const fresh = chosen.filter(({ nutrient }) => !own.some((one) => one.nutrient === nutrient));
	if (fresh.length === 0 && own.length === 0) return cannot(notes.join('; '));
	const others = records.choices.filter(({ nutrient }) => !fresh.some((one) => one.nutrient === nutrient));
	const after = adviceFrom(library, { ...records, choices: [...others, ...fresh] }, today);
	const kept = own.map(({ nutrient, reason }) => `${nutrient} stays at the own rate: ${reason}`);
	return seasonOf(ground, field, after, {
		programme,
		choices: withSeen(fresh, after.chosen).filter((one) => !same(one, records.choices)),
		notes: [...kept, ...notes]
	});
}

/** Passes for the rates that were chosen, in the place of those not yet applied. */
export function proposalWork(ground: WorkGround, field: FieldRow): Planned {
	const records = ground.records(field);
	if ('changes' in records) return records;
	const advice = adviceFrom(ground.library, records, ground.today);
	if (advice.chosen.length === 0 && advice.context.tilleringN === undefined) return cannot('no rate is chosen yet');
	return seasonOf(ground, field, advice, { choices: [], notes: [] });
}

/** Which programmes of the crop there are, and why each is not for this ground. */
function noneFor(programmes: readonly HouseProgrammeRecord[], facts: ProgrammeFacts, crop: string): string {
	const ofCrop = programmes.filter(({ crops }) => crops.includes(facts.crop));
	if (ofCrop.length === 0) return `no house programme is for ${crop.toLowerCase()}`;
	return ofCrop.map((one) => `${one.name}: ${whyNotFor(one, facts)}`).join('; ');
}

/** What of a field picks its house programme. */
function factsOf({ goal, context, site }: Advice): ProgrammeFacts {
	const { cec, soilPh, slopePercent } = context;
	return { crop: goal.crop, cec, soilPh, slopePercent, textureClass: site.field.textureClass };
}

function seasonOf(
	{ book, library, today }: WorkGround,
	{ units }: FieldRow,
	advice: Advice,
	by: { programme?: HouseProgrammeRecord; choices: Choice[]; notes: string[] }
): Planned {
	const { programme, choices } = by;
	const { products } = library;
	const { goal } = advice;
	const { replaced, kept } = openPasses(advice, products);
	const context = programme ? byHouse(advice.context, programme) : advice.context;
	const proposed = proposeYear(context, kept);
	// Doses of palms are whole cups already.
	const passes =
		programme && cupLbAc(context) === undefined
			? proposed.passes.map((pass) => roundedPass(pass, programme.rounding, productOf(pass, products)))
			: proposed.passes;
	// Without a schedule nothing is proposed, and what was planned by hand stays.
	const planned = context.schedule !== undefined && !samePasses(replaced, passes);
	const notes = [...by.notes, ...proposed.notes];
	const before = followedOf(goal);
	const follows = programme && (before?.programme !== programme.id || before.version !== programme.version);
	if (choices.length === 0 && !planned && !follows) return { changes: [], notes };
	return {
		changes: [
			...(programme ? [programme.name] : []),
			...(choices.length > 0 ? [ratesText(advice.chosen, choices, units)] : []),
			...(planned ? [passesText(passes)] : [])
		],
		notes,
		write: (writer) => {
			if (follows) {
				const { id, version } = programme;
				const followed: Followed = { programme: id, version, takenOn: today };
				writer.update('field_year', goal.id, { followed: JSON.stringify(followed) });
			}
			const removed = planned ? replaced.map(({ id }) => id) : [];
			writeSeason(writer, goal, listPasses(book, goal.id), { choices, removed, added: planned ? passes : [] });
		}
	};
}

function same(choice: Choice, choices: readonly Choice[]): boolean {
	return choices.some((one) => JSON.stringify(one) === JSON.stringify(choice));
}

/** Whether two plans put the same on, on the same days; their ids do not matter. */
function samePasses(before: readonly Pass[], after: readonly Pass[]): boolean {
	const said = (passes: readonly Pass[]) =>
		passes.map(({ date, product, rate, unit, placement }) => [date, product, rate, unit, placement].join()).sort();
	return JSON.stringify(said(before)) === JSON.stringify(said(after));
}

/** "N 165 lb/ac, P2O5 none". */
function ratesText(chosen: readonly Chosen[], choices: readonly Choice[], units: UnitSystem): string {
	return chosen
		.filter(({ nutrient }) => choices.some((choice) => choice.nutrient === nutrient))
		.map(({ nutrient, rate }) =>
			rate.value === 0 ? `${nutrient} none` : `${nutrient} ${quantityIn(units, rate.value, rate.unit)}`
		)
		.join(', ');
}

/** "3 passes, 14 Apr to 9 Jun". */
function passesText(passes: readonly Pass[]): string {
	const [first] = passes;
	if (!first) return 'no pass is needed';
	const count = passes.length === 1 ? '1 pass' : `${passes.length} passes`;
	const [from, to] = [first.date, passes.at(-1)!.date].map(shortDate);
	return from === to ? `${count}, ${from}` : `${count}, ${from} to ${to}`;
}
