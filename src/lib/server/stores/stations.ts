import { fromJson } from '../from-json';
import { createHash } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { RainOutlook, WeatherDay } from '../../../core/schema-types';
import { act } from '../book/act';

/** A station of the adviser's own with what it measured. */
export interface StationRow {
	id: string;
	name: string;
	latitude: number;
	days: WeatherDay[];
}

type PackedDay = [date: string, minC: number, maxC: number, rainMm: number];

export function listStations(db: Database): StationRow[] {
	return db
		.prepare<[], { id: string; name: string; latitude: number; days: string }>(
			'SELECT id, name, latitude, days FROM station ORDER BY name COLLATE NOCASE'
		)
		.all()
		.map((row) => ({
			...row,
			days: fromJson<PackedDay[]>(row.days).map(([date, minC, maxC, rainMm]) => ({ date, minC, maxC, rainMm }))
		}));
}

/**
 * Adds days to a station of that name, or makes it; a day that is there is replaced. The station is in use from then on.
 * @returns how many days were new and how many were replaced
 */
export function addWeather(
	db: Database,
	name: string,
	latitude: number,
	days: readonly WeatherDay[]
): { added: number; replaced: number } {
	const known = listStations(db).find((station) => station.name.toLowerCase() === name.toLowerCase());
	const byDate = new Map((known?.days ?? []).map((day) => [day.date, day]));
	const replaced = days.filter(({ date }) => byDate.has(date)).length;
	for (const day of days) byDate.set(day.date, day);
	const packed: PackedDay[] = [...byDate.values()]
		.sort((a, b) => a.date.localeCompare(b.date))
		.map(({ date, minC, maxC, rainMm }) => [date, minC, maxC, rainMm]);
	const id = known?.id ?? `own-${digestOf(name.toLowerCase())}`;
	const text = JSON.stringify(packed);
	act(db, { label: `Imported ${days.length} days of weather of ${name}` }, (writer) => {
		writer.put('station', { id, name: known?.name ?? name, latitude, days: text, digest: digestOf(text) });
		writer.put('setting', { id: 'station', value: id });
	});
	return { added: days.length - replaced, replaced };
}

function digestOf(text: string): string {
	return createHash('sha256').update(text).digest('hex').slice(0, 12);
}

/** Whose weather stands for the district; the first shipped one where nothing was chosen. */
export function stationInUse(db: Database): string | undefined {
	return settingOf(db, 'station');
}

export function useStation(db: Database, { id, name }: { id: string; name: string }): void {
	act(db, { label: `Chose the weather of ${name}` }, (writer) => writer.put('setting', { id: 'station', value: id }));
}

/** The rain that the adviser expects; undefined where an assumed outlook stands in. */
export function readOutlook(db: Database): RainOutlook | undefined {
	return JSON.parse(settingOf(db, 'outlook') ?? 'null') ?? undefined;
}

export function setOutlook(db: Database, outlook: RainOutlook | null): void {
	const label = outlook ? `Set the outlook from ${outlook.from}` : 'Went back to the assumed outlook';
	act(db, { label }, (writer) => writer.put('setting', { id: 'outlook', value: JSON.stringify(outlook) }));
}

function settingOf(db: Database, id: string): string | undefined {
	return db.prepare<[string], { value: string }>('SELECT value FROM setting WHERE id = ?').get(id)?.value;
}
