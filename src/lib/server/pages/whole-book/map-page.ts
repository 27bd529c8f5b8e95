import { readResult } from '../../../../core/reading/soil/read-result';
import { soilLayers } from '../../../../core/reading/soil/soil-layers';
import type { Analyte } from '../../../../core/schema-types';
import { nextToDo } from '../../../next-to-do';
import { planningYear } from '../../field/planning-year';
import { fieldsOnTheMap, newestReports } from '../../stores/fields';
import { listRoster } from '../../stores/roster';
import type { Desk } from '../../desk';

/** Results that fields can be told apart by on the map. */
const SHOWN: readonly Analyte[] = ['pH', 'P', 'K'];

/** The fields of the map of the whole book, with what they can be coloured by. */
export function mapPage({ book, library, today }: Desk) {
	const year = planningYear(today);
	const reports = newestReports(book);
	const onMap = fieldsOnTheMap(book);
	const cropName = new Map(library.crops.map(({ id, name }) => [id, name]));
	return {
		title: 'Map',
		year,
		fields: listRoster(book, year).map((row) => {
			const report = reports.get(row.id);
			const soil = report && soilLayers(report);
			const results = SHOWN.flatMap((analyte): [Analyte, number][] => {
				const answer = soil && readResult(soil, analyte);
				return answer?.applies ? [[analyte, answer.value]] : [];
			});
			return {
				id: row.id,
				name: row.name,
				grower: row.grower,
				areaAc: row.areaAc,
				units: row.units,
				onMap: onMap.has(row.id),
				crop: row.crop === null ? undefined : cropName.get(row.crop),
				soil: Object.fromEntries(results) as Partial<Record<Analyte, number>>,
				next: nextToDo(row)
			};
		})
	};
}
