import type { FieldRow } from '../stores/fields';
import type { Library } from '../knowledge';

type Weather = Pick<Library, 'station' | 'measured' | 'outlook'>;

/** The weather of a field: that of its grower's station, else of the book's. The outlook is of the book's district alone. */
export function weatherFor({ grower_station }: Pick<FieldRow, 'grower_station'>, library: Library): Weather {
	const own = library.stations.find(({ id }) => id === grower_station);
	if (!own || own.id === library.station.id) return library;
	return { station: own, measured: library.measuredAt.get(own.id) ?? [], outlook: undefined };
}
