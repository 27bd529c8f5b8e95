import { COLD_SOIL_C } from '../../../../core/season/plan/usual-values';
import { coldSoilDate } from '../../../../core/season/weather/cold-soil-date';
import { knownWeather } from '../../../../core/season/weather/known-weather';
import { normalsOf } from '../../../../core/season/weather/normals-of';
import { listStations } from '../../stores/stations';
import type { Desk } from '../../desk';

/** The stations with what they measured, the one in use, and what is expected. */
export function weatherPage({ book, library, today, settings }: Desk) {
	const { station, stations, measured, outlook, seasonModel } = library;
	const known = knownWeather(station, [], outlook, today);
	const rows = listStations(book);
	return {
		title: 'Weather',
		units: settings.units,
		today,
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
		cold: coldSoilDate(station, Number(today.slice(0, 4)), COLD_SOIL_C, seasonModel),
		outlook: { own: outlook !== undefined, days: [...known.days.values()] }
	};
}
