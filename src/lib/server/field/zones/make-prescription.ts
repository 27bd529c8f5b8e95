import { fromJson } from '../../from-json';
import { InputError } from '../../../../core/check/problem';
import type { Shape } from '../../../../core/ground/shapes/shape';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import type { Pass, Prescription, PrescriptionAction, PrescriptionPart, Product } from '../../../../core/schema-types';
import { cautionsFor } from '../../../../core/season/plan/hazards';
import { productOf } from '../../../../core/season/plan/plan-context';
import { gridOf } from '../../../../core/zones/surface/field-grid';
import { MOST_ZONES } from '../../../../core/zones/shapes/cell-zones';
import { rateSurface } from '../../../../core/zones/surface/rate-surface';
import type { CellValues } from '../../../../core/zones/surface/regions';
import { settableRates } from '../../../../core/zones/prescription/set-rates';
import { layerSurface } from '../../../../core/zones/surface/layer-surface';
import { layersInUse } from '../../../../core/zones/layers-in-use';
import { zoneShapes } from '../../../../core/zones/shapes/zone-shapes';
import { ZONE_ANALYTES } from '../../../../core/zones/zone-means';
import { ActionError } from '../../book/action-error';
import type { Advice, FieldYear } from '../field-year';
import type { Library } from '../../knowledge';
import type { LayerRecord, ZoneRecord } from '../../stores/ground-maps';
import { adviseZones } from './zone-advice';

/** What a prescription is made from. */
export interface PrescriptionGround {
	fieldYear: FieldYear;
	advice: Advice;
	zones: readonly ZoneRecord[];
	layers: readonly LayerRecord[];
	library: Library;
	today: string;
	preparedBy: string;
}

/** Levels of a prescription by cells where no number of classes is asked for. */
const MOST_LEVELS = 20;

/**
 * A prescription for a pass: its rate in each zone or cell as the nutrient's rate there is to the field's, so that a pass
 * that carries a part of the nutrient keeps its part.
 * @throws ActionError or InputError with what is missing
 */
export function makePrescription(ground: PrescriptionGround, action: PrescriptionAction): Prescription {
	const { fieldYear, advice, library, today, preparedBy } = ground;
	const pass = advice.passes.find(({ plan }) => plan.id === action.pass)?.plan;
	if (!pass) throw new InputError([{ path: '/pass', message: `"${action.pass}" is no pass of this plan` }]);
	if (action.limits.least > action.limits.most) {
		const message = `must not be above the most, ${action.limits.most}; got ${action.limits.least}`;
		throw new InputError([{ path: '/limits/least', message }]);
	}
	const product = productOf(pass, library.products);
	const chosen = advice.chosen.find(({ nutrient }) => nutrient === action.drivenBy);
	if (!chosen || chosen.rate.value <= 0) {
		throw new ActionError(`No rate of ${action.drivenBy} is chosen for the field; choose one under Rates first.`);
	}
	const share = pass.rate / chosen.rate.value;
	const parts =
		action.cellM === undefined ? byZone(ground, action, share) : byCell(ground, action, share, action.cellM);
	return {
		format: 1,
		name: action.name ?? `${pass.label}, by ${action.cellM === undefined ? 'zone' : 'cell'}`,
		product: { id: product.id, name: product.name },
		pass: pass.id,
		unit: pass.unit,
		drivenBy: action.drivenBy,
		limits: action.limits,
		outside: action.outside,
		flat: pass.rate,
		madeOn: today,
		preparedBy,
		field: fieldYear.field.name,
		grower: fieldYear.field.grower,
		year: fieldYear.year,
		parts,
		cautions: cautionsOf(pass, product, library)
	};
}

function cautionsOf(pass: Pass, product: Product, { cautions }: Library): string[] {
	return [...cautionsFor(product, pass, cautions), cautions.always];
}

function byZone(
	{ advice, zones, layers, library, today }: PrescriptionGround,
	{ drivenBy, limits }: PrescriptionAction,
	share: number
): PrescriptionPart[] {
	if (zones.length === 0) throw new ActionError('The field has no zones yet; draw them, or make them from a layer.');
	const advised = adviseZones(advice, zones, layers, library, today);
	const rates = advised.map(({ zone, rates: own }) => {
		const rate = own.get(drivenBy)!.rate;
		if (!rate.applies)
			throw new ActionError(`${zone.name} has no rate of ${drivenBy}, because ${rate.reason}. ${rate.remedy}`);
		return rate.value * share;
	});
	const set = settableRates(
		rates,
		zones.map((zone) => zone.areaAcres),
		limits
	);
	return zones.map((zone, at) => ({
		zone: zone.name,
		rate: set[at]!,
		wanted: Math.round(rates[at]! * 1000) / 1000,
		areaAcres: zone.areaAcres,
		shape: zone.shape
	}));
}

function byCell(
	{ fieldYear, advice, layers, library, today }: PrescriptionGround,
	{ drivenBy, limits }: PrescriptionAction,
	share: number,
	cellM: number
): PrescriptionPart[] {
	const boundary = fieldYear.field.boundary === null ? undefined : fromJson<Shape>(fieldYear.field.boundary);
	if (!boundary) throw new ActionError('The field has no boundary; cells need one.');
	const method = advice.choices.find(({ nutrient }) => nutrient === drivenBy)?.method;
	if (method === undefined) throw new ActionError(`${drivenBy} is a rate of your own; cells need a guide’s method.`);
	const grid = gridOf(boundary, cellM);
	const cells: CellValues = {};
	const inUse = layersInUse(layers, advice.request.sample);
	for (const { quantity, points } of inUse.layers) {
		const analyte = ZONE_ANALYTES.find((one) => one === quantity);
		if (!analyte) continue;
		const surface = layerSurface(points, boundary, grid);
		if (typeof surface !== 'string') cells[analyte] = surface.values;
	}
	if (Object.keys(cells).length === 0) {
		const why = inUse.notes.map((note) => ` ${note}`).join('');
		throw new ActionError(
			`No layer of soil values has enough points for a surface; take samples in, or go by zones.${why}`
		);
	}
	const surface = rateSurface(advice.request, method, cells, library, today);
	if (typeof surface === 'string') throw new ActionError(`${drivenBy} cannot go by cells: ${surface}.`);
	const known: number[] = [];
	surface.forEach((rate, cell) => {
		if (grid.inside[cell] && Number.isFinite(rate)) known.push(cell);
	});
	if (known.length === 0) throw new ActionError(`The chosen method gives no rate of ${drivenBy} in any cell.`);
	const set = settableRates(
		known.map((cell) => surface[cell]! * share),
		known.map(() => 1),
		{ ...limits, classes: limits.classes ?? MOST_LEVELS }
	);
	const levels = [...new Set(set)].sort((a, b) => a - b);
	const levelOf = new Int16Array(grid.inside.length).fill(-1);
	known.forEach((cell, at) => (levelOf[cell] = levels.indexOf(set[at]!)));
	return [...zoneShapes(levelOf, grid, boundary)].map(([level, shape]) => ({
		zone: levels.length <= MOST_ZONES ? `Rate ${level + 1}` : `Level ${level + 1}`,
		rate: levels[level]!,
		areaAcres: Math.round(areaAcres(shape) * 1000) / 1000,
		shape
	}));
}
