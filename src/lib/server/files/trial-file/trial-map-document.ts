import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Shape } from '../../../../core/ground/shapes/shape';
import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { treatmentCodes, treatmentText } from '../../../../core/trials/design/treatment-codes';
import { treatmentsOf } from '../../../../core/trials/design/treatments';
import { longDate } from '../../../../core/units/day-text';
import { lengthText } from '../../../../core/units/length-text';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { BookTrial } from '../../stores/trials';
import { below, ledgerLayout } from '../print/ledger-layout';
import { plotMapSvg } from './plot-map-svg';

interface MapHead {
	/** YYYY-MM-DD. */
	day: string;
	preparedBy: string;
	cautions: readonly string[];
	units: UnitSystem;
}

const MAP = { width: 524, height: 400 };

/** Common to what a trial prints: letter paper, black on white. */
export function trialPaper(
	title: string,
	{ field, grower, year }: BookTrial,
	day: string
): Omit<TDocumentDefinitions, 'content'> {
	return {
		pageSize: 'LETTER',
		pageMargins: [44, 44, 44, 52],
		info: { title, creationDate: new Date(`${day}T00:00:00Z`) },
		defaultStyle: { font: 'Hyperlegible', fontSize: 10, lineHeight: 1.15 },
		styles: { label: { bold: true, fontSize: 8.5 }, part: { bold: true, fontSize: 12 } },
		footer: (page, count) => ({
			margin: [44, 8, 44, 0],
			fontSize: 8,
			columns: [
				{ width: '*', text: `${field}, ${grower}, ${year}` },
				{ width: 'auto', text: `${page} of ${count}`, alignment: 'right' }
			]
		})
	};
}

export function trialHeading({ plan, field, grower }: BookTrial, right: string): Content[] {
	return [
		{
			columns: [
				{ width: '*', text: plan.name, fontSize: 16, bold: true },
				{ width: 'auto', text: right, bold: true, alignment: 'right' }
			]
		},
		{ text: `${field}, ${grower}`, margin: below(1) },
		...(plan.question ? [{ text: plan.question, italics: true, margin: below(3) }] : [])
	];
}

/** For those who lay out, spread and harvest: the plots on the map, what the codes mean, flags, and a sheet to write on. */
export function trialMapDocument(
	trial: BookTrial,
	boundary: Shape,
	{ day, preparedBy, cautions, units }: MapHead
): TDocumentDefinitions {
	const { plan } = trial;
	const codes = treatmentCodes(plan);
	return {
		...trialPaper(`Plot map, ${plan.name}`, trial, day),
		content: [
			...trialHeading(trial, longDate(day)),
			{ svg: plotMapSvg(trial, boundary, MAP.width, MAP.height), width: MAP.width, margin: below(6) },
			{ text: 'North is up. Each plot has its number and the code of its treatment.', fontSize: 8.5 },
			{
				columns: [
					{
						width: '*',
						stack: [
							{ text: 'Treatments', style: 'part', margin: below(8) },
							...treatmentsOf(plan).map((levels): Content => {
								const name = treatmentOf({ levels });
								return {
									text: `${codes.get(name)!}  ${treatmentText(plan, levels)}${name === plan.usual ? ' (usual practice)' : ''}`
								};
							})
						]
					},
					{ width: '*', stack: [{ text: 'Plots', style: 'part', margin: below(8) }, ...flagLines(trial, units)] }
				],
				columnGap: 20
			},
			...(cautions.length > 0
				? [
						{ text: 'Cautions', style: 'part', margin: below(8) },
						{ ul: [...cautions], fontSize: 9 }
					]
				: []),
			{ text: 'Data sheet', style: 'part', pageBreak: 'before' as const },
			{
				text: 'Weigh whole passes from the middle of each plot. A plot that was not measured stays empty; one that is left out gets its reason.',
				margin: below(3)
			},
			{
				table: {
					headerRows: 1,
					dontBreakRows: true,
					widths: [36, 34, '*', 66, 60, 130],
					body: sheetRows(trial, codes)
				},
				layout: ledgerLayout(4),
				margin: below(6)
			},
			...(preparedBy ? [{ text: `Prepared by ${preparedBy}.`, margin: below(10) }] : [])
		]
	};
}

function flagLines({ plan, plots }: BookTrial, units: UnitSystem): Content[] {
	const length = (feet: number) => lengthText(feet, units);
	const long = plan.lengthFt === undefined ? 'as long as the field' : `${length(plan.lengthFt)} long`;
	const flags = new Set(
		plots.flatMap(({ shape }) =>
			(shape.type === 'Polygon' ? shape.coordinates[0]! : shape.coordinates[0]![0]!).map((corner) =>
				corner.map((one) => one.toFixed(6)).join(' ')
			)
		)
	);
	return [
		{
			text: `${plots.length} plots, ${length(plan.widthFt)} wide and ${long}, driven at ${plan.headingDegrees} degrees from north by east.`
		},
		{
			text: `${length(plan.headlandFt)} of headland at each end. Header ${length(plan.headerFt)}, spreader ${length(plan.passFt)}.`
		},
		{ text: `${flags.size} flags at the corners; their places are in the GeoJSON and Shapefile of the plots.` },
		{ text: `Order drawn with seed ${plan.seed}.` }
	];
}

function sheetRows({ plan, plots }: BookTrial, codes: ReadonlyMap<string, string>): TableCell[][] {
	const heads = ['Plot', 'Block', 'Treatment', 'Yield', 'Moisture, %', 'Notes, or why it is left out'];
	return [
		heads.map((text) => ({ text, style: 'label' })),
		...plots.map((plot): TableCell[] => {
			const treatment = treatmentOf(plot);
			return [
				{ text: String(plot.plot), bold: true },
				String(plot.block),
				`${codes.get(treatment)!}  ${treatmentText(plan, plot.levels)}`,
				'',
				'',
				''
			];
		})
	];
}
