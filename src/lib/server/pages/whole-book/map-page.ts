import { BALANCED, nutrientBalance } from '../../../../core/season/plan/balance/nutrient-balance';
import { readResult } from '../../../../core/reading/soil/read-result';
import { soilLayers } from '../../../../core/reading/soil/soil-layers';
import type { Analyte } from '../../../../core/schema-types';
import { nextToDo } from '../../../next-to-do';
import { planningYear } from '../../field/planning-year';
import { yearRecord } from '../../field/year-record';
import { fieldsOnTheMap, newestReports } from '../../stores/fields';
import { lastHarvests } from '../../stores/last-harvests';
import { listRoster } from '../../stores/roster';
import { listWaterSources } from '../../stores/water/water-sources';
import type { Desk } from '../../desk';

/** Results that fields can be told apart by on the map. */
const SHOWN: readonly Analyte[] = ['pH', 'P', 'K'];

/** The fields of the map of the whole book, with what they can be coloured by. */
export function mapPage({ book, library, today, settings }: Desk) {
	const year = planningYear(today);
	const reports = newestReports(book);
	const onMap = fieldsOnTheMap(book);
	const harvests = lastHarvests(book);
	const sources = listWaterSources(book);
	const cropName = new Map(library.crops.map(({ id, name }) => [id, name]));
	return {
		title: 'Map',
		year,
		units: settings.units,
		fields: listRoster(book, year).map((row) => {
			const report = reports.get(row.id);
			const soil = report && soilLayers(report);
			const results = SHOWN.flatMap((analyte): [Analyte, number][] => {
				const answer = soil && readResult(soil, analyte);
				return answer?.applies ? [[analyte, answer.value]] : [];
			});
			const harvest = harvests.get(row.id);
			const [balance] = harvest
				? nutrientBalance(yearRecord(harvest, library.crops, sources), library.packs, library.products)
				: [];
			return {
				id: row.id,
				name: row.name,
				grower: row.grower,
				areaAc: row.areaAc,
				units: row.units,
				onMap: onMap.has(row.id),
				crop: row.crop === null ? undefined : cropName.get(row.crop),
				soil: Object.fromEntries(results) as Partial<Record<Analyte, number>>,
				balance: Object.fromEntries(
					BALANCED.flatMap((nutrient) => {
						const answer = balance?.nutrients[nutrient].ofYear;
						return answer?.applies ? [[nutrient, answer.value]] : [];
					})
				) as Partial<Record<(typeof BALANCED)[number], number>>,
				next: nextToDo(row)
			};
		})
	};
}
