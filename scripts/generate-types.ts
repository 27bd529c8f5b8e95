// Writes src/core/schema-types/*.d.ts from schemas/*.schema.json, so that no type is written twice.
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { compile, type JSONSchema } from 'json-schema-to-typescript';

const from = 'schemas';
const to = 'src/core/schema-types';

await mkdir(to, { recursive: true });
const files = (await readdir(from)).filter((name) => name.endsWith('.schema.json'));

// One bundle with every schema's definitions under one roof gives each shared type exactly once.
const definitions: Record<string, JSONSchema> = {};
const renameReferences = (node: unknown, file: string): unknown => {
	if (Array.isArray(node)) return node.map((item) => renameReferences(item, file));
	if (node === null || typeof node !== 'object') return node;
	return Object.fromEntries(
		Object.entries(node)
			.filter(([key]) => key !== '$id' && key !== '$schema')
			.map(([key, value]) => {
				if (key !== '$ref') return [key, renameReferences(value, file)];
				const [target, pointer = ''] = String(value).split('#');
				const name = (target || file).replace('.schema.json', '');
				const inner = pointer.replace('/definitions/', '');
				return ['$ref', `#/definitions/${name}${inner ? `:${inner}` : ''}`];
			})
	);
};
for (const file of files) {
	const schema = JSON.parse(await readFile(path.join(from, file), 'utf8'));
	const name = file.replace('.schema.json', '');
	const { definitions: own = {}, ...root } = schema;
	definitions[name] = renameReferences(root, file) as JSONSchema;
	for (const [key, definition] of Object.entries(own)) {
		definitions[`${name}:${key}`] = { title: key, ...(renameReferences(definition, file) as JSONSchema) };
	}
}
const declarations = await compile(
	{ title: 'EverySchema', type: 'object', additionalProperties: false, properties: {}, definitions },
	'EverySchema',
	{
		bannerComment: '// Generated from schemas/ by scripts/generate-types.ts. Change the schema, not this file.',
		unreachableDefinitions: true,
		additionalProperties: false,
		ignoreMinAndMaxItems: true,
		format: false
	}
);
await writeFile(path.join(to, 'index.d.ts'), declarations);

/** A text of so many letters is that of a file. */
const LETTERS_OF_FILE = 100_000;

/**
 * Between what the numbers of a definition lie, what forms call them and their units, and how long its files are at most: the same as the
 * schema checks.
 */
function boundsOf(definition: JSONSchema): Record<string, Record<string, unknown>> {
	return Object.fromEntries(
		Object.entries(definition.properties ?? {}).flatMap(([name, property]) => {
			const { type, minimum: least, exclusiveMinimum: above, maximum: most, maxLength: letters = 0 } = property;
			if (letters >= LETTERS_OF_FILE) return [[name, { letters }]];
			if (most === undefined || (least === undefined && above === undefined)) return [];
			const { 'x-label': label, 'x-unit': unit, 'x-help': help } = property;
			const words = { label, unit, help };
			return [[name, { least, above, most, ...(type === 'integer' ? { whole: true } : {}), ...words }]];
		})
	);
}

const constants = Object.entries(definitions).flatMap(([key, definition]) => {
	const bounds = boundsOf(definition);
	const title = key.split(':')[1] ?? definition.title;
	return title && Object.keys(bounds).length > 0
		? [`export const ${title}Bounds = ${JSON.stringify(bounds)} as const;`]
		: [];
});
await writeFile(
	path.join(to, 'bounds.ts'),
	['// Generated from schemas/ by scripts/generate-types.ts. Change the schema, not this file.', ...constants, ''].join(
		'\n'
	)
);
