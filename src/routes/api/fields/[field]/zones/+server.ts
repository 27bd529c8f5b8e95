import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { shapeProblems } from '$core/ground/shapes/check-shape';
import type { Shape } from '$core/ground/shapes/shape';
import { cutByField } from '$core/zones/shapes/cut-by-field';
import type { ZonesAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { boundaryOf, fieldOf } from '$lib/server/http/field-param';
import { replaceZones } from '$lib/server/stores/ground-maps';
import { seasonOf } from '$lib/server/field/zone-season';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asZones = validator<ZonesAction>('actions#/definitions/ZonesAction');

/** Puts zones in place of those of the field. */
export const POST: RequestHandler = ({ request, params }) =>
	answerJson(request, asZones, ({ label, zones, year }) => {
		const field = fieldOf(params);
		const problems = zones.flatMap(({ name, shape }) => shapeProblems(shape as Shape, name));
		if (problems.length > 0) throw new InputError(problems);
		const boundary = boundaryOf(field);
		const cut = zones.map((zone) => {
			if (!boundary) return zone;
			const shape = cutByField(zone.shape as Shape, boundary);
			if (shape) return { ...zone, shape };
			throw new InputError([{ path: zone.name, message: 'lies outside the field: is it the right file?' }]);
		});
		const season = seasonOf(
			field.id,
			year,
			zones.map(({ facts }) => facts)
		);
		replaceZones(theBook(), field.id, label, cut as typeof zones, season);
	});
