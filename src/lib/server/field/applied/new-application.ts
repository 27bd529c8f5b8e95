import { InputError } from '../../../../core/check/problem';
import { standingApplications, type RecordedPass } from '../../../../core/season/applied/recorded-pass';
import { productFault } from '../../../../core/season/plan/pass/product-fault';
import type { Application, ApplicationAction, Applied, WeatherOfDay } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { formatNumber } from '../../../../core/units/display';
import { ActionError } from '../../book/action-error';
import type { Library } from '../../knowledge';
import type { FieldRow } from '../../stores/fields';
import { weatherFor } from '../weather-for';
import { checkPast } from './check-past';

interface Ground {
	field: Pick<FieldRow, 'name' | 'area_ac' | 'grower_station'>;
	library: Library;
	/** First and last day of the season. */
	season: { from: string; to: string };
	/** YYYY-MM-DD. */
	today: string;
	/** The moment, as an ISO date with time. */
	now: string;
}

/** More acres than the field has are an error of typing, but for what is measured a little differently: common practice. */
const MOST_OF_FIELD = 1.05;

/**
 * The entry that an action writes on a pass, with the day's weather and the field's area as they are now.
 * @throws InputError where what was applied cannot be; ActionError where it corrects what is no entry, or was corrected already
 */
export function newApplication(
	{ applied, corrects, because }: ApplicationAction,
	pass: RecordedPass,
	{ field, library, season, today, now }: Ground
): Application {
	if (applied === undefined && corrects === undefined) {
		throw new InputError([{ path: '/applied', message: 'must say what was applied; only a correction goes without' }]);
	}
	if (corrects !== undefined) checkCorrection(corrects, because, pass);
	else if (pass.doneOn !== null && pass.applications.length === 0) throw new ActionError(doneAsPlannedText(pass));
	if (applied) {
		checkPast(applied.appliedOn, today, '/applied/appliedOn');
		checkApplied(applied, field, library, season);
	}
	const weather = applied && weatherOf(applied.appliedOn, field, library);
	return {
		recordedAt: now,
		...(applied ? { applied } : {}),
		...(applied && field.area_ac !== null ? { fieldAcres: field.area_ac } : {}),
		...(weather ? { weather } : {}),
		...(corrects === undefined ? {} : { corrects, because: because! })
	};
}

function checkCorrection(corrects: string, because: string | undefined, { applications, plan }: RecordedPass): void {
	if (!because?.trim()) {
		throw new InputError([{ path: '/because', message: 'must say why the entry is corrected' }]);
	}
	if (!applications.some(({ id }) => id === corrects)) throw new ActionError(`${plan.label} has no such entry.`);
	if (!standingApplications(applications).some(({ id }) => id === corrects)) {
		throw new ActionError('This entry was corrected already: correct the one that stands in its place.');
	}
}

function checkApplied(
	applied: Applied,
	{ name, area_ac }: Ground['field'],
	{ products }: Library,
	{ from, to }: Ground['season']
): void {
	const { appliedOn, acres } = applied;
	if (appliedOn < from || appliedOn > to) {
		const message = `must lie in the season, ${from} to ${to}; got "${appliedOn}"`;
		throw new InputError([{ path: '/applied/appliedOn', message }]);
	}
	const wrong = productFault(applied, products);
	if (wrong) throw new InputError([{ path: `/applied/${wrong.key}`, message: wrong.message }]);
	if (acres === undefined) return;
	if (area_ac === null) {
		const message = `needs the area of ${name}: give it under Ground, or leave the acres out for the whole field`;
		throw new InputError([{ path: '/applied/acres', message }]);
	}
	if (acres > area_ac * MOST_OF_FIELD) {
		const message = `must be no more than the ${formatNumber(area_ac, 'ac')} ac of ${name}; got ${acres}`;
		throw new InputError([{ path: '/applied/acres', message }]);
	}
}

function weatherOf(day: string, field: Ground['field'], library: Library): WeatherOfDay | undefined {
	const { station, measured } = weatherFor(field, library);
	const found = measured.find(({ date }) => date === day);
	return found && { station: station.name, minC: found.minC, maxC: found.maxC, rainMm: found.rainMm };
}

function doneAsPlannedText({ plan, doneOn }: RecordedPass): string {
	return `${plan.label} is recorded as applied as planned on ${longDate(doneOn!)}: undo that first, then record it load by load.`;
}
