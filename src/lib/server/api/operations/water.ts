import type { BookedReport, CreatedAnswer, WaterSource, WaterSourceAction } from '../../../../core/schema-types';
import {
	addWaterSource,
	bookWaterReport,
	listWaterSources,
	removeWaterReport,
	removeWaterSource
} from '../../stores/water/water-sources';
import { json, operation } from '../operation';

export const waterOperations = [
	operation('GET /api/water-sources', {
		summary: 'Lists the sources of irrigation water with their reports, the newest first',
		answer: json<WaterSource[]>('answers#/definitions/WaterSources'),
		run: ({ desk }) => listWaterSources(desk.book)
	}),
	operation('POST /api/water-sources', {
		summary: 'Adds a source of irrigation water',
		body: json<WaterSourceAction>('actions#/definitions/WaterSourceAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { name: 'North well', kind: 'well' as const },
		run: ({ desk }, source) => addWaterSource(desk.book, source)
	}),
	operation('DELETE /api/water-sources/{source}', {
		summary: 'Deletes a source with its reports, unless a field is irrigated from it',
		run: ({ params, desk }) => removeWaterSource(desk.book, params.source)
	}),
	operation('POST /api/water-sources/{source}/reports', {
		summary: 'Records what a lab found in the water of a source',
		body: json<BookedReport>('water-request#/definitions/BookedReport'),
		example: { takenOn: '2026-09-01', water: { unit: 'ppm' as const, ec: 1.2, no3n: 5 } },
		run: ({ params, desk }, report) => bookWaterReport(desk.book, params.source, report)
	}),
	operation('DELETE /api/water-sources/{source}/reports/{report}', {
		summary: 'Deletes a report of a source',
		run: ({ params, desk }) => removeWaterReport(desk.book, params.source, params.report)
	})
] as const;
