import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import { InputError, type Problem } from './problem';
import { SCHEMAS } from './schemas';

/** A day outside these is a slip of the keyboard: no book reaches so far back or ahead. */
const EARLIEST = '1950-01-01';
const LATEST = '2150-12-31';

const ajv = new Ajv({ allErrors: false, verbose: true, strict: true, allowUnionTypes: true, strictRequired: false });
// What forms call a number, the unit it is in, and a word of help: nothing that is checked.
ajv.addVocabulary(['x-label', 'x-unit', 'x-help']);
addFormats.default(ajv, ['date']);
const isDate = ajv.formats.date as { validate: (text: string) => boolean };
ajv.addFormat('date', (text) => isDate.validate(text) && text >= EARLIEST && text <= LATEST);
for (const schema of SCHEMAS) ajv.addSchema(schema);

/** Checks a value against a schema that only a rule kind or a page knows. */
export function compileSchema(schema: object): (value: unknown) => Problem[] {
	return problemsOf(ajv.compile(schema));
}

/**
 * A check by one of the project's schemas.
 * @param name `<name>` of schemas/<name>.schema.json, or `<name>#/definitions/<Definition>` in it
 * @returns a function that gives the value back typed, or throws InputError
 */
export function validator<T>(name: string): (value: unknown) => T {
	let problems: ((value: unknown) => Problem[]) | undefined;
	return (value) => {
		problems ??= problemsOf(ajv.getSchema(schemaId(name)) as ValidateFunction);
		const found = problems(value);
		if (found.length > 0) throw new InputError(found);
		return value as T;
	};
}

function schemaId(name: string): string {
	const [file, pointer] = name.split('#');
	return pointer === undefined ? `${file}.schema.json` : `${file}.schema.json#${pointer}`;
}

function problemsOf(validate: ValidateFunction): (value: unknown) => Problem[] {
	return (value) => {
		if (validate(value)) return [];
		const errors = validate.errors ?? [];
		// Of a failed choice between shapes only the deepest complaint helps the reader.
		const depth = (error: ErrorObject) => error.instancePath.split('/').length;
		const deepest = [...errors].sort((a, b) => depth(b) - depth(a)).slice(0, 20);
		return deepest.map(toProblem);
	};
}

function toProblem(error: ErrorObject): Problem {
	return { path: error.instancePath, message: `${wanted(error)}${actualText(error)}` };
}

function wanted(error: ErrorObject): string {
	const parameters = error.params;
	switch (error.keyword) {
		case 'additionalProperties':
			return `has the unknown key "${String(parameters.additionalProperty)}"; known here: ${knownKeys(error)}`;
		case 'required':
			return `lacks "${String(parameters.missingProperty)}"`;
		case 'enum':
			return `must be one of ${(parameters.allowedValues as unknown[]).map(String).join(', ')}`;
		case 'minimum':
			return `must be ${String(parameters.limit)} or more`;
		case 'maximum':
			return `must be ${String(parameters.limit)} or less`;
		case 'exclusiveMinimum':
			return `must be more than ${String(parameters.limit)}`;
		case 'exclusiveMaximum':
			return `must be less than ${String(parameters.limit)}`;
		case 'format':
			return `must be a date as YYYY-MM-DD, from ${EARLIEST} to ${LATEST}`;
		default:
			return error.message ?? 'is not valid';
	}
}

function knownKeys(error: ErrorObject): string {
	const properties = (error.parentSchema as { properties?: object } | undefined)?.properties ?? {};
	return Object.keys(properties).join(', ');
}

function actualText(error: ErrorObject): string {
	if (error.keyword === 'additionalProperties' || error.keyword === 'required') return '';
	const text = JSON.stringify(error.data) ?? 'nothing';
	return `; got ${text.length > 60 ? `${text.slice(0, 60)}…` : text}`;
}
