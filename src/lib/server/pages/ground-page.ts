import { fromJson } from '../from-json';
import type { Setback } from '../../../core/schema-types';
import { figure, type Answer } from '../../../core/figure/figure';
import { plantAge } from '../../../core/ground/block/block-age';
import { plantsPerAcre, rowFeetPerAcre, treatedShare } from '../../../core/ground/block/plant-density';
import { rowLines } from '../../../core/ground/block/row-lines';
import { inSystem, yieldUnitOf } from '../../../core/units/rate-units';
import { blockOf, isOfWholeField, isTakenWhole, listSamples } from '../stores/fields';
import { factsOf } from '../api/standing';
import { boundaryOf } from '../field/zones/boundary-of';
import { listZones } from '../stores/ground-maps';
import { listFieldYears } from '../stores/field-years';
import { irrigationOfField } from './irrigation-of-field';
import type { Desk, FieldAddress } from '../desk';

/** The page of the ground: the field, its samples and its years. */
export function groundPage(desk: Desk, address: FieldAddress) {
	const fieldYear = desk.fieldYear(address);
	const { field, year } = fieldYear;
	const { crops } = desk.library;
	const { units } = field;
	const sampled = listSamples(desk.book, field.id).map(({ id, lab, labNumber, report }) => ({
		id,
		lab,
		labNumber,
		date: report.date,
		spot: report.spot,
		zone: report.zone,
		point: report.point,
		report,
		canCorrect: isTakenWhole(report),
		meanOf: report.meanOf,
		meanOfPoints: report.meanOfPoints,
		layers: report.layers
	}));
	const block = blockOf(field);
	const boundary = boundaryOf(field);
	const years = listFieldYears(desk.book, field.id);
	const zones = listZones(desk.book, field.id);
	return {
		field,
		/** The facts as they are sent, to say what a change starts from. */
		facts: factsOf(field),
		boundary,
		rows: block && boundary ? rowLines(boundary, block) : [],
		zones: zones.map(({ name, shape }, at) => ({ name, shape, share: (0.8 * at) / Math.max(1, zones.length - 1) })),
		year,
		stations: desk.library.stations.map(({ id, name }) => ({ id, name })),
		setbacks: field.setbacks === null ? [] : fromJson<Setback[]>(field.setbacks),
		samples: sampled.filter(isOfWholeField),
		/** Of single zones: the zones' soil values are theirs. */
		zoneSamples: sampled.filter(({ zone }) => zone !== undefined),
		/** Of single points: the layers of the map are made of them. */
		pointSamples: sampled.filter(({ point }) => point !== undefined),
		/** Of good and bad spots: they stand beside leaf tests. */
		spotSamples: sampled.filter(({ spot }) => spot !== undefined),
		block,
		irrigation: irrigationOfField(desk, fieldYear),
		/** Whether a perennial stands here in any year of the book. */
		perennial: years.some((row) => crops.some(({ id, perennial }) => perennial && id === row.crop)),
		blockFigures: block
			? [
					plantAge(block, year),
					inSystem(plantsPerAcre(block, field.area_ac ?? undefined), units),
					inSystem(rowFeetPerAcre(block), units),
					inPercent(treatedShare(block))
				]
			: [],
		history: years.map((row) => {
			const crop = crops.find(({ id }) => id === row.crop);
			return {
				year: row.year,
				crop: crop?.name ?? row.crop,
				unit: crop ? yieldUnitOf(crop) : '',
				goal: row.yield_goal,
				harvested: row.harvested_yield
			};
		})
	};
}

export type GroundPage = ReturnType<typeof groundPage>;

/** A share as people say it. */
function inPercent(share: Answer): Answer {
	if (!share.applies) return share;
	return figure({
		label: 'treated share',
		value: share.value * 100,
		unit: '%',
		formula: 'share x 100',
		inputs: [share],
		basis: share.basis
	});
}
