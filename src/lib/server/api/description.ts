import { SCHEMAS } from '../../../core/check/schemas';
import type { FileBody, Operation } from './operation';
import { methodAndPath } from './path';

/** The dialect in which the project's schemas are written. */
const DIALECT = 'http://json-schema.org/draft-07/schema#';
const REFUSALS = {
	'404': 'There is nothing at this address, or it belongs to another field or year.',
	'409': 'The book does not allow it, or it was changed meanwhile: then `now` holds what stands.',
	'422': 'The body does not fit; each problem has the path of its value.'
};

type Json = Record<string, unknown>;

/** The operations as an OpenAPI 3.1 document. */
export function describeApi(operations: readonly Operation[], version: string): Json {
	const components = new Components();
	const refusal = { 'application/json': { schema: components.ref('answers#/definitions/Refusal') } };
	const paths: Record<string, Json> = {};
	for (const operation of operations) {
		const { method, path } = methodAndPath(operation.key);
		(paths[path] ??= {})[method.toLowerCase()] = {
			operationId: operationId(method, path),
			summary: operation.summary,
			tags: [path.split('/')[2] ?? 'api'],
			parameters: parametersOf(path, operation),
			...bodyOf(operation, components),
			responses: {
				'200': { description: 'Done.', content: answerOf(operation, components) },
				...Object.fromEntries(
					Object.entries(REFUSALS).map(([status, description]) => [status, { description, content: refusal }])
				)
			}
		};
	}
	return {
		openapi: '3.1.0',
		jsonSchemaDialect: DIALECT,
		info: {
			title: 'Cosecha',
			version,
			description:
				'What the pages of the program ask of its server, and what works without a book: advise, season, blend and fit. It answers on the machine it runs on.'
		},
		paths,
		components: { schemas: components.all() }
	};
}

/** "putFieldsFieldYearGoal" */
function operationId(method: string, path: string): string {
	const words = path
		.split(/[^a-zA-Z]+/)
		.filter((word) => word !== '' && word !== 'api')
		.map((word) => word.charAt(0).toUpperCase() + word.slice(1));
	return method.toLowerCase() + (words.join('') || 'Api');
}

function parametersOf(path: string, { query = {}, file }: Operation): Json[] {
	const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
		name,
		in: 'path',
		required: true,
		schema: { type: 'string' }
	}));
	const inQuery = Object.entries(query).map(([name, description]) => ({
		name,
		in: 'query',
		description,
		schema: { type: 'string' }
	}));
	const name = {
		name: 'x-file-name',
		in: 'header',
		description: 'The file’s name, percent-encoded',
		schema: { type: 'string' }
	};
	return [...inPath, ...inQuery, ...(file ? [name] : [])];
}

function bodyOf({ body, file, example }: Operation, components: Components): Json {
	if (file) return { requestBody: { required: true, content: { 'application/octet-stream': fileSchema(file) } } };
	if (!body) return {};
	const schema = components.ref(body.schema);
	return { requestBody: { required: true, content: { 'application/json': { schema, example } } } };
}

function fileSchema({ megabytes }: FileBody): Json {
	return { schema: { type: 'string', format: 'binary', description: `The file itself, up to ${megabytes} MB` } };
}

function answerOf({ answer }: Operation, components: Components): Json {
	return { 'application/json': { schema: components.ref(answer?.schema ?? 'answers#/definitions/DoneAnswer') } };
}

/** The schemas that the document needs, each once, with references that point into the document. */
class Components {
	readonly #taken = new Map<string, Json>();

	/** A reference to a schema, which is importedto the document with all that it refers to. */
	ref(schema: string): Json {
		const name = schema.replace('.schema.json', '').replace('#/definitions/', '.').replace(/#$/, '');
		if (!this.#taken.has(name)) {
			// Set first: a schema may refer to itself.
			this.#taken.set(name, {});
			this.#taken.set(name, this.#withReferences(named(name), name.split('.')[0]!) as Json);
		}
		return { $ref: `#/components/schemas/${name}` };
	}

	all(): Json {
		return Object.fromEntries([...this.#taken].sort(([a], [b]) => a.localeCompare(b)));
	}

	#withReferences(node: unknown, file: string): unknown {
		if (Array.isArray(node)) return node.map((one) => this.#withReferences(one, file));
		if (typeof node !== 'object' || node === null) return node;
		const own = Object.entries(node as Json).filter(([key]) => !['$id', '$schema', 'definitions'].includes(key));
		return Object.fromEntries(
			own.flatMap(([key, value]) => {
				if (key !== '$ref') return [[key, this.#withReferences(value, file)]];
				const target = String(value);
				return Object.entries(this.ref(target.startsWith('#') ? `${file}${target}` : target));
			})
		);
	}
}

/** "actions.GoalAction" of schemas/actions.schema.json, or the whole of a file. */
function named(name: string): Json {
	const [file, definition] = name.split('.');
	const schema = SCHEMAS.find(({ $id }) => $id === `${file}.schema.json`) as Json & { definitions?: Json };
	return (definition === undefined ? schema : schema.definitions![definition]) as Json;
}
