import { error } from '@sveltejs/kit';
import { designCautions } from '../../../../core/trials/design/design-cautions';
import { recordsAsCsv } from '../../../../core/trials/plots/records-csv';
import { readTrial } from '../../../../core/trials/reading/read-trial';
import type { Desk } from '../../desk';
import { groundOfTrial, trialBoundary } from '../../field/trials/trial-ground';
import { trialPrescription } from '../../field/trials/trial-prescription';
import { termsOfTrial } from '../../field/trials/trial-terms';
import type { BookTrial } from '../../stores/trials';
import { boundaryOf } from '../../field/zones/boundary-of';
import { download } from '../download';
import { prescriptionResponse } from '../prescription-file/prescription-response';
import { zipShapefile } from '../prescription-file/zip-shapefile';
import { pdfOf } from '../print/pdf';
import { trialGeoJson } from './trial-geojson';
import { trialMapDocument } from './trial-map-document';
import { trialReportDocument } from './trial-report-document';

/**
 * A trial as a file: its plots (plots-geojson, plots-shapefile, plot-map, data-sheet), its report, or, with a product, its rates as a
 * prescription (geojson, shapefile, task-data, csv).
 * @throws 404 for another kind, 422 for a report before anything was measured
 */
export async function trialFile(desk: Desk, trial: BookTrial, kind: string, product: string | null): Promise<Response> {
	const fieldYear = desk.fieldYear({ field: trial.fieldId, year: String(trial.year) });
	const boundary = boundaryOf(fieldYear.field);
	if (product !== null) return prescriptionResponse(trialPrescription(desk, trial, product), kind, boundary);
	const title = `${trial.field} ${trial.plan.name} ${trial.year}`;
	const { preparedBy } = desk.settings;
	const { units } = fieldYear.field;
	switch (kind) {
		case 'plots-geojson':
			return download(title, '.geojson', JSON.stringify(trialGeoJson(trial)));
		case 'plots-shapefile':
			return download(title, '-shapefile.zip', await zipShapefile(trialGeoJson(trial), 'plots'));
		case 'data-sheet':
			return download(title, '.csv', recordsAsCsv(trial.plots, trial.records));
		case 'plot-map': {
			const cautions = designCautions(trial.plan, trial.plots, groundOfTrial(desk, fieldYear, trial.plan, trial));
			const document = trialMapDocument(trial, trialBoundary(fieldYear), {
				day: desk.today,
				preparedBy,
				cautions,
				units
			});
			return download(title, '-plot-map.pdf', await pdfOf(document));
		}
		case 'report': {
			const terms = termsOfTrial(desk, trial);
			const reading = readTrial(trial, 'yield', terms);
			if (!reading.applies) error(422, `There is no report yet: ${reading.reason}. ${reading.remedy}`);
			const head = { day: desk.today, preparedBy, yieldUnit: terms.yieldUnit, units };
			return download(title, '-report.pdf', await pdfOf(trialReportDocument(trial, boundary, reading, head)));
		}
		default:
			error(404, 'A trial comes as plots-geojson, plots-shapefile, plot-map, data-sheet or report.');
	}
}
