import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Shape } from '../../../../core/ground/shapes/shape';
import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { treatmentCodes, treatmentText } from '../../../../core/trials/design/treatment-codes';
import { treatmentNames } from '../../../../core/trials/design/treatments';
import { wholeMeans } from '../../../../core/trials/reading/whole-means';
import type { TrialReading } from '../../../../core/trials/reading/read-trial';
import { formatNumber, formatQuantity } from '../../../../core/units/display';
import { longDate } from '../../../../core/units/day-text';
import { lengthText } from '../../../../core/units/length-text';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { BookTrial } from '../../stores/trials';
import { below, ledgerLayout } from '../print/ledger-layout';
import { plotMapSvg } from './plot-map-svg';
import { blocksText, DESIGN_NAMES } from '../../../design-names';
import { trialHeading, trialPaper } from './trial-map-document';

interface ReportHead {
	day: string;
	preparedBy: string;
	yieldUnit: string;
	units: UnitSystem;
}

const MAP = { width: 230, height: 190 };

/** A trial on one page: map, question, design, weather, means with letters, money, verdict, and what it does not show. */
export function trialReportDocument(
	trial: BookTrial,
	boundary: Shape | undefined,
	reading: TrialReading,
	{ day, preparedBy, yieldUnit, units }: ReportHead
): TDocumentDefinitions {
	const { plan, plots } = trial;
	return {
		...trialPaper(`Trial report, ${plan.name}`, trial, day),
		content: [
			...trialHeading(trial, longDate(day)),
			{ text: 'What it shows', style: 'part', margin: below(8) },
			{ text: reading.verdict, margin: below(2) },
			{
				columns: [
					...(boundary ? [{ width: MAP.width, svg: plotMapSvg(trial, boundary, MAP.width, MAP.height) }] : []),
					{
						width: '*',
						stack: [
							{ text: 'Design', style: 'part' },
							{
								text: `${DESIGN_NAMES[plan.design]}: ${treatmentNames(plan).length} treatments in ${blocksText(plan)}, ${plots.length} plots ${lengthText(plan.widthFt, units)} wide, order drawn with seed ${plan.seed}.`
							},
							...(plan.weather ? [{ text: `Weather: ${plan.weather}`, margin: below(4) }] : []),
							...(plan.note ? [{ text: plan.note, margin: below(4) }] : []),
							...reading.answer.notes.map((text): Content => ({ text, margin: below(4) }))
						]
					}
				],
				columnGap: 16,
				margin: below(8)
			},
			{ text: 'Means', style: 'part', margin: below(8) },
			{
				table: {
					headerRows: 1,
					dontBreakRows: true,
					widths: meanWidths(reading),
					body: meanRows(trial, reading, yieldUnit)
				},
				layout: ledgerLayout(2.5)
			},
			{ text: footOf(reading, yieldUnit), fontSize: 8.5, margin: below(3) },
			{ text: 'What it does not show', style: 'part', margin: below(8) },
			{ ul: [...reading.limits] },
			...(preparedBy ? [{ text: `Prepared by ${preparedBy}.`, margin: below(10) }] : [])
		]
	};
}

function meanWidths({ money }: TrialReading): (string | number)[] {
	return [16, '*', 60, 36, ...(money.length > 0 ? [56, 56, 92] : [])];
}

function meanRows({ plan }: BookTrial, { answer, money }: TrialReading, yieldUnit: string): TableCell[][] {
	const codes = treatmentCodes(plan);
	const right = (text: string, bold = false): TableCell => ({ text, alignment: 'right', bold });
	const heads = [
		'',
		'Treatment',
		`Mean, ${yieldUnit}`,
		'Group',
		...(money.length > 0 ? ['Net, $/ac', 'Over usual', '95 % range'] : [])
	];
	const rows = wholeMeans(answer)
		.sort((a, b) => b.mean - a.mean)
		.map((one): TableCell[] => {
			const treatment = treatmentOf(one);
			const own = money.find((row) => row.treatment === treatment);
			const gain = own?.gain;
			const dollars = (value: number | undefined) => (value === undefined ? '' : formatNumber(value, '$/ac'));
			return [
				codes.get(treatment) ?? '',
				`${treatmentText(plan, one.levels)}${treatment === plan.usual ? ' (usual)' : ''}`,
				right(one.mean.toFixed(1), true),
				one.group ?? '',
				...(money.length > 0
					? [
							right(dollars(own?.net.value)),
							right(dollars(gain?.figure.value)),
							right(
								gain?.low === undefined || gain.high === undefined
									? ''
									: `${dollars(gain.low)} to ${dollars(gain.high)}`
							)
						]
					: [])
			];
		});
	return [
		heads.map((text, at) => ({ text, style: 'label', alignment: at === 2 || at > 3 ? 'right' : 'left' })),
		...rows
	];
}

function footOf({ answer: { hsd, cv }, figures }: TrialReading, yieldUnit: string): string {
	const amount = (value: number) => formatQuantity(Math.round(value * 10) / 10, yieldUnit);
	return [
		...figures.filter(({ unit }) => unit !== '%').map(({ label, value }) => `${label}: ${amount(value)}.`),
		...(hsd === null || figures.length > 2
			? []
			: [`Means with a common letter do not differ beyond chance (Tukey, ${amount(hsd)}).`]),
		...(cv === null ? [] : [`Coefficient of variation ${cv.toFixed(1)} %.`])
	].join(' ');
}
