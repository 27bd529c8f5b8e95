import { readResult } from '../../../../core/reading/soil/read-result';
import { soilLayers } from '../../../../core/reading/soil/soil-layers';
import type { Shape } from '../../../../core/ground/shapes/shape';
import { BALANCED } from '../../../../core/season/plan/balance/nutrient-balance';
import type { Analyte } from '../../../../core/schema-types';
import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { rateOf } from '../../../../core/trials/design/treatments';
import { fromJson } from '../../from-json';
import type { Desk } from '../../desk';
import { loadFieldYear } from '../../field/field-year';
import { yearsPage } from '../../pages/office/years-page';
import { listZones } from '../../stores/ground-maps';
import { listFields, listSamples, type FieldRow } from '../../stores/fields';
import { listFieldYears } from '../../stores/field-years';
import { yearsOfBook } from '../../stores/plan/booked-years';
import { listTrials } from '../../stores/trials';
import type { PackageLayer } from './write-geo-package';

const WHO = { field: 'TEXT', grower: 'TEXT' } as const;
/** Of a soil report and of zones. */
const VALUES = ['pH', 'bufferPh', 'P', 'K', 'Mg', 'Ca', 'CEC', 'OM'] as const satisfies readonly Analyte[];
const VALUE_COLUMNS = Object.fromEntries(VALUES.map((analyte) => [analyte, 'REAL' as const]));
/** So many fields are worked out before others are answered. */
const AT_ONCE = 10;

interface Ground {
	row: FieldRow;
	shape: Shape | undefined;
	who: { field: string; grower: string };
}

/**
 * The ground of the book for any GIS: fields, zones, plots, samples, the rates chosen for a year or for every year, and balances by year.
 * Rates are worked out field by field; between some of them other pages are answered.
 * @param year of the rates; those of every year of a field's book where left out
 */
export async function groundOfBook(desk: Desk, year?: number): Promise<PackageLayer[]> {
	const fields = listFields(desk.book).map((row): Ground => {
		const shape = row.boundary === null ? undefined : fromJson<Shape>(row.boundary);
		return { row, shape, who: { field: row.name, grower: row.grower } };
	});
	return [
		fieldLayer(fields),
		zoneLayer(desk, fields),
		plotLayer(desk),
		sampleLayer(desk, fields),
		await rateLayer(desk, fields, year),
		balanceLayer(desk, fields)
	];
}

function fieldLayer(fields: readonly Ground[]): PackageLayer {
	return {
		name: 'field',
		title: 'Fields',
		description: 'Areas in acres, slope in percent.',
		columns: {
			...WHO,
			acres: 'REAL',
			texture: 'TEXT',
			drainage: 'TEXT',
			slope_percent: 'REAL',
			irrigated: 'INTEGER',
			tenure: 'TEXT',
			note: 'TEXT'
		},
		rows: fields.map(({ row, shape, who }) => ({ shape, values: { ...row, ...who, acres: row.area_ac } }))
	};
}

function zoneLayer({ book }: Desk, fields: readonly Ground[]): PackageLayer {
	return {
		name: 'zone',
		title: 'Zones',
		description: 'Areas in acres; soil values in the unit and by the method of the field’s own sample.',
		columns: { ...WHO, zone: 'TEXT', acres: 'REAL', ...VALUE_COLUMNS },
		rows: fields.flatMap(({ row, who }) =>
			listZones(book, row.id).map(({ name, areaAcres, shape, facts }) => ({
				shape,
				values: { ...who, zone: name, acres: areaAcres, ...facts.values }
			}))
		)
	};
}

function plotLayer({ book }: Desk): PackageLayer {
	return {
		name: 'plot',
		title: 'Plots of trials',
		description: 'Rates in the unit of the trial, yields in that of its crop.',
		columns: {
			...WHO,
			trial: 'TEXT',
			year: 'INTEGER',
			plot: 'INTEGER',
			block: 'INTEGER',
			treatment: 'TEXT',
			rate: 'REAL',
			yield: 'REAL'
		},
		rows: listTrials(book).flatMap(({ field, grower, year, plan, plots, records }) =>
			plots.map((plot) => ({
				shape: plot.shape as unknown as Shape,
				values: {
					field,
					grower,
					trial: plan.name,
					year,
					plot: plot.plot,
					block: plot.block,
					treatment: treatmentOf(plot),
					rate: rateOf(plan, plot),
					yield: records.find((one) => one.plot === plot.plot)?.values?.yield
				}
			}))
		)
	};
}

function sampleLayer({ book }: Desk, fields: readonly Ground[]): PackageLayer {
	return {
		name: 'sample',
		title: 'Soil samples',
		description: 'On the ground that they stand for; P, K, Mg and Ca in ppm, CEC in cmol/kg, OM in percent.',
		columns: {
			...WHO,
			sampled_on: 'TEXT',
			lab: 'TEXT',
			lab_number: 'TEXT',
			spot: 'TEXT',
			zone: 'TEXT',
			point: 'INTEGER',
			longitude: 'REAL',
			latitude: 'REAL',
			...VALUE_COLUMNS
		},
		rows: fields.flatMap(({ row, shape, who }) =>
			listSamples(book, row.id).map(({ lab, labNumber, report }) => {
				const soil = soilLayers(report);
				const values = VALUES.map((analyte) => {
					const answer = readResult(soil, analyte);
					return [analyte, answer.applies ? answer.value : undefined] as const;
				});
				return {
					shape,
					values: {
						...who,
						sampled_on: report.date,
						lab,
						lab_number: labNumber,
						spot: report.spot,
						zone: report.zone,
						point: report.point?.number,
						longitude: report.point?.at[0],
						latitude: report.point?.at[1],
						...Object.fromEntries(values)
					}
				};
			})
		)
	};
}

async function rateLayer(
	{ book, library, today }: Desk,
	fields: readonly Ground[],
	year: number | undefined
): Promise<PackageLayer> {
	const rows: PackageLayer['rows'] = [];
	const all = fields.flatMap((field) =>
		(year === undefined ? listFieldYears(book, field.row.id).map((one) => one.year) : [year]).map((of) => ({
			...field,
			of
		}))
	);
	for (const [at, { row, shape, who, of }] of all.entries()) {
		if (at % AT_ONCE === 0) await new Promise((resolve) => setImmediate(resolve));
		const { advice } = loadFieldYear(book, library, row.id, of, today);
		for (const { nutrient, rate, by } of advice?.chosen ?? []) {
			const crop = advice!.crop.name;
			rows.push({ shape, values: { ...who, year: of, crop, nutrient, rate: rate.value, unit: rate.unit, by } });
		}
	}
	return {
		name: 'rate',
		title: year === undefined ? 'Rates chosen, every year' : `Rates chosen for ${year}`,
		description: 'A row for each nutrient of a field.',
		columns: { ...WHO, year: 'INTEGER', crop: 'TEXT', nutrient: 'TEXT', rate: 'REAL', unit: 'TEXT', by: 'TEXT' },
		rows
	};
}

function balanceLayer(desk: Desk, fields: readonly Ground[]): PackageLayer {
	const shapes = new Map(fields.map(({ row, shape }) => [row.id, shape]));
	const { first, last } = yearsOfBook(desk.book) ?? { first: 0, last: -1 };
	const { lines } =
		first > last
			? { lines: [] }
			: yearsPage(desk, new URLSearchParams({ by: 'field', from: `${first}`, to: `${last}` }));
	const named = BALANCED.flatMap((nutrient) => [`${nutrient}_balance`, `${nutrient}_running`]);
	return {
		name: 'balance',
		title: 'Nutrient balances by year',
		description:
			'Applied less taken off, and the sum of the years, lb/ac; goal and harvest in the unit of the crop; lime in short tons/ac.',
		columns: {
			...WHO,
			year: 'INTEGER',
			crop: 'TEXT',
			goal: 'REAL',
			harvested: 'REAL',
			yield_unit: 'TEXT',
			N_applied: 'REAL',
			...Object.fromEntries(named.map((column) => [column, 'REAL' as const])),
			lime: 'REAL',
			cost: 'REAL'
		},
		rows: lines.map((line) => ({
			shape: shapes.get(line.fieldId!),
			values: {
				field: line.name,
				grower: line.grower,
				year: line.year,
				crop: line.crop,
				goal: line.goal,
				harvested: line.harvested,
				yield_unit: line.yieldUnit,
				N_applied: line.appliedN,
				...Object.fromEntries(
					BALANCED.flatMap((nutrient) => [
						[`${nutrient}_balance`, line.balance[nutrient]],
						[`${nutrient}_running`, line.running[nutrient]]
					])
				),
				lime: line.lime,
				cost: line.cost
			}
		}))
	};
}
