import { coldSoilDate } from '$core/season/weather/cold-soil-date';
import { knownWeather } from '$core/season/weather/known-weather';
import { normalsOf } from '$core/season/weather/normals-of';
import { currentLibrary } from '$lib/server/current-library';
import { readSettings } from '$lib/server/stores/settings';
import { listStations } from '$lib/server/stores/stations';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

/** Below this, and falling, ammonium may go on in autumn; 50 F. */
const COLD_C = 10;

export const load: PageServerLoad = () => {
	const library = currentLibrary();
	const { station, stations, measured, outlook, seasonModel } = library;
	const known = knownWeather(station, [], outlook, today());
	const rows = listStations(theBook());
	return {
		title: 'Weather',
		units: readSettings(theBook()).units,
		today: today(),
		stations: stations.map(({ id, name, latitude, simulated }) => {
			const days = rows.find((row) => row.id === id)?.days ?? [];
			return {
				id,
				name,
				latitude,
				simulated,
				days: days.length,
				first: days[0]?.date,
				last: days.at(-1)?.date,
				own: normalsOf(days, station.months).own
			};
		}),
		inUse: { id: station.id, name: station.name, months: station.months, measured: measured.length },
		cold: coldSoilDate(station, Number(today().slice(0, 4)), COLD_C, seasonModel),
		outlook: { own: outlook !== undefined, days: [...known.days.values()] }
	};
};
