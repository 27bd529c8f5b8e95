import type {
	BookedReport,
	CreatedAnswer,
	EnteredReports,
	WaterFileAction,
	WaterSource,
	WaterSourceAction
} from '../../../../core/schema-types';
import { readReportCsv } from '../../../../core/water/report-csv';
import {
	addWaterSource,
	bookWaterReport,
	enterWaterReports,
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
	operation('POST /api/water-sources/file', {
		summary: 'Imports reports from CSV, with the sources that are new: all of them, or none',
		body: json<WaterFileAction>('actions#/definitions/WaterFileAction'),
		answer: json<EnteredReports>('answers#/definitions/EnteredReports'),
		example: { csv: 'source,date,EC,pH,"Ca, ppm"\nField well,2026-07-01,0.8,7.6,64\n' },
		run: ({ desk }, { csv }) => enterWaterReports(desk.book, readReportCsv(csv, desk.today))
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
