import { InputError } from '../../../../core/check/problem';
import { treatedShare } from '../../../../core/ground/block/plant-density';
import { shapeProblems } from '../../../../core/ground/shapes/check-shape';
import { soilLayers } from '../../../../core/reading/soil/soil-layers';
import type {
	BlockAction,
	BoundaryAction,
	CreatedAnswer,
	FactsAction,
	FoundFields,
	GrowerAction,
	LeafLogEntry,
	NewFieldAction,
	OpenCautions,
	SampleAction,
	SetbacksAction
} from '../../../../core/schema-types';
import { ActionError } from '../../book/action-error';
import { openCautions } from '../../field/open-cautions';
import {
	addField,
	blockOf,
	correctSample,
	addSample,
	fieldByName,
	findFields,
	removeSample,
	setBlock,
	setGrower,
	updateField
} from '../../stores/fields';
import { bookLeafTest, removeLeafTest } from '../../stores/tests/leaf-tests';
import { setBoundary } from '../../stores/ground-maps';
import { setSetbacks } from '../../stores/house-rules';
import { SQUARE, SURFACE_SAMPLE } from '../examples';
import { fieldAt } from '../at';
import { json, operation } from '../operation';
import { factsOf } from '../standing';

const MOST_FOUND = 12;

export const fieldOperations = [
	operation('GET /api/fields', {
		summary: 'Finds fields whose name or grower holds the words',
		query: { find: 'Words, in any order; all fields where left out' },
		answer: json<FoundFields>('answers#/definitions/FoundFields'),
		run: ({ desk, query }) => findFields(desk.book, query.get('find') ?? '', MOST_FOUND)
	}),
	operation('POST /api/fields', {
		summary: 'Adds a field, and its grower where the name is new',
		body: json<NewFieldAction>('actions#/definitions/NewFieldAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { name: 'Long Meadow', grower: 'Tarrow & Daughters', areaAcres: 40 },
		run: ({ desk }, { name, grower, areaAcres }) => ({
			id: addField(desk.book, { name: name.trim(), grower: grower.trim(), areaAcres })
		})
	}),
	operation('PUT /api/fields/{field}/grower', {
		summary:
			'Says in which units and by which station the fields of this grower are read; what is left out is as in the book',
		body: json<GrowerAction>('actions#/definitions/GrowerAction'),
		example: { units: 'metric' },
		run: (call, grower) => {
			const { stations } = call.desk.library;
			const { station } = grower;
			if (station !== undefined && !stations.some(({ id }) => id === station)) {
				const known = stations.map(({ id }) => id).join(', ');
				throw new InputError([{ path: '/station', message: `"${station}" is no station; known: ${known}` }]);
			}
			setGrower(call.desk.book, fieldAt(call), grower);
		}
	}),
	operation('GET /api/cautions', {
		summary: 'Counts what is open on some fields of a year',
		query: { year: 'The year', field: 'The id of a field; given again for each of up to 100' },
		answer: json<OpenCautions>('answers#/definitions/OpenCautions'),
		run: ({ desk, query }) => openCautions(desk, query.get('year') ?? '', query.getAll('field'))
	}),
	operation('PUT /api/fields/{field}/facts', {
		summary: 'Changes the facts of a field',
		body: json<FactsAction>('actions#/definitions/FactsAction'),
		example: { name: 'Kingfisher Bend', irrigated: false, note: '', areaAcres: 62, texture: 'silt loam' },
		stands: (call) => factsOf(fieldAt(call)),
		run: (call, facts) => {
			const field = fieldAt(call);
			const name = facts.name.trim();
			const other = fieldByName(call.desk.book, field.grower, name);
			if (other && other.id !== field.id) throw new ActionError(`${field.grower} already has a field named ${name}.`);
			updateField(call.desk.book, field.id, {
				name,
				area_ac: facts.areaAcres ?? null,
				texture: facts.texture ?? null,
				drainage: facts.drainage ?? null,
				slope_percent: facts.slopePercent ?? null,
				irrigated: facts.irrigated ? 1 : 0,
				note: facts.note,
				tenure: facts.tenure ?? null
			});
		}
	}),
	operation('PUT /api/fields/{field}/setbacks', {
		summary: 'Sets the setbacks on a field',
		body: json<SetbacksAction>('actions#/definitions/SetbacksAction'),
		example: { setbacks: [{ from: 'well', feet: 100 }] },
		run: ({ params, desk }, { setbacks }) => setSetbacks(desk.book, params.field, setbacks)
	}),
	operation('PUT /api/fields/{field}/block', {
		summary: 'Describes the planting of a perennial on a field; null takes it back',
		body: json<BlockAction>('actions#/definitions/BlockAction'),
		example: { block: { plantedYear: 2021, rowSpacing: 20, plantSpacing: 15, treatedWidth: 6, water: 'drip' } },
		stands: (call) => blockOf(fieldAt(call)) ?? null,
		run: ({ params, desk }, { block }) => {
			const share = block && treatedShare(block);
			const tooWide = share && !share.applies && block.treatedWidth !== undefined && block.rowSpacing !== undefined;
			if (tooWide) throw new InputError([{ path: '/block/treatedWidth', message: `does not fit: ${share.reason}` }]);
			setBlock(desk.book, params.field, block);
		}
	}),
	operation('POST /api/fields/{field}/leaf-tests', {
		summary: 'Records a leaf test of a field, with part, stage and spot',
		body: json<LeafLogEntry>('leaf-request#/definitions/LeafLogEntry'),
		example: {
			takenOn: '2027-07-08',
			crop: 'soybean',
			part: 'top full trifoliate without stalk',
			stage: 'R1',
			spot: 'bad',
			results: { N: 4.6, P: 0.24, K: 2.1 }
		},
		run: ({ params, desk }, test) => {
			const known = desk.library.crops.map(({ id }) => id);
			if (!known.includes(test.crop)) {
				throw new InputError([{ path: '/crop', message: `must be one of ${known.join(', ')}` }]);
			}
			bookLeafTest(desk.book, params.field, test);
		}
	}),
	operation('DELETE /api/fields/{field}/leaf-tests/{leaf}', {
		summary: 'Removes a leaf test',
		run: ({ params, desk }) => removeLeafTest(desk.book, params.field, params.leaf)
	}),
	operation('PUT /api/fields/{field}/boundary', {
		summary: 'Sets the boundary of a field, and its area by it; null takes both away',
		body: json<BoundaryAction>('actions#/definitions/BoundaryAction'),
		example: { boundary: SQUARE },
		run: ({ params, desk }, { boundary }) => {
			const problems = boundary ? shapeProblems(boundary, '/boundary') : [];
			if (problems.length > 0) throw new InputError(problems);
			setBoundary(desk.book, params.field, boundary);
		}
	}),
	operation('POST /api/fields/{field}/samples', {
		summary: 'Adds a soil sample typed from the lab’s paper',
		body: json<SampleAction>('actions#/definitions/SampleAction'),
		example: SURFACE_SAMPLE,
		run: ({ params, desk }, sample) => {
			soilLayers(sample.report, '/report');
			addSample(desk.book, params.field, sample);
		}
	}),
	operation('PUT /api/fields/{field}/samples/{sample}', {
		summary: 'Corrects a sample, or takes the lab’s second report in place of its first',
		body: json<SampleAction>('actions#/definitions/SampleAction'),
		example: SURFACE_SAMPLE,
		run: ({ params, desk }, sample) => {
			soilLayers(sample.report, '/report');
			correctSample(desk.book, params.field, params.sample, sample);
		}
	}),
	operation('DELETE /api/fields/{field}/samples/{sample}', {
		summary: 'Removes a sample',
		run: ({ params, desk }) => removeSample(desk.book, params.field, params.sample)
	})
] as const;
