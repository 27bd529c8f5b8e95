import type { Database } from 'better-sqlite3';
import { departuresFrom, type Departure } from '../../../core/season/house/departures';
import { quantityIn } from '../../../core/units/amount-text';
import { longDate } from '../../../core/units/day-text';
import type { UnitSystem } from '../../../core/units/rate-units';
import type { Library } from '../knowledge';
import { findHouseProgramme, followedOf, listHouseProgrammes } from '../stores/plan/house-programmes';
import type { Advice } from './field-year';

/** The house programme a year of a field was planned by, and where it was overruled. */
export interface Follows {
	/** "Corn on heavy soil, version 2, taken on 30 Nov 2026". */
	title: string;
	/** What became of the programme since; empty where it is as it was. */
	since: string;
	overruled: string[];
}

/** Undefined where the year follows no house programme. */
export function followsOf(
	db: Database,
	library: Library,
	{ goal, choices }: Pick<Advice, 'goal' | 'choices'>,
	units: UnitSystem
): Follows | undefined {
	const followed = followedOf(goal);
	const programme = followed && findHouseProgramme(db, followed);
	if (!programme) return undefined;
	const { version, takenOn } = followed;
	const now = listHouseProgrammes(db).find(({ id }) => id === followed.programme);
	return {
		title: `${programme.name}, version ${version}, taken on ${longDate(takenOn)}`,
		since: now === undefined ? 'removed since' : now.version > version ? `version ${now.version} is out` : '',
		overruled: departuresFrom(programme, choices).map((departure) => said(departure, library, units))
	};
}

function said({ nutrient, own, method }: Departure, { packs }: Library, units: UnitSystem): string {
	if (own) {
		const unit = nutrient === 'lime' ? 'short ton/ac' : 'lb/ac';
		return `${nutrient} at the own rate of ${quantityIn(units, own.rate, unit)} (${own.reason})`;
	}
	if (method === undefined) return `${nutrient} is open`;
	const rule = packs.rules.find((one) => one.method === method);
	return `${nutrient} by ${rule?.pack.title ?? method}`;
}
