import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { parse } from 'svelte/compiler';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** What screens, papers and docs say in the trade's words, and the words that gave way to them. */
const REPLACED: readonly { then: string; now: RegExp }[] = [
	{ then: 'caution', now: /\bto mind\b|\bminds?\b(?! of)/i },
	{ then: 'rates compared', now: /second opinions?/i },
	{ then: 'approach', now: /\bschools?\b/i },
	{ then: 'not for this crop', now: /silent here|says nothing about/i },
	{ then: 'N the soil can hold, N capacity', now: /the ground (holds|takes)\b|room that day|room for nitrogen/i },
	{ then: 'soil mineral N', now: /nitrogen in the ground/i },
	{ then: 'crop N demand, N uptake', now: /wanted by the crop|not taken up/i },
	{ then: 'leached', now: /washe[ds] out/i },
	{ then: 'denitrified', now: /(lost )?from wet ground/i },
	{ then: 'volatilized', now: /lost to the air|, to the air/i },
	{ then: 'mineralized', now: /given by organic matter/i },
	{ then: 'residual N', now: /\bleft behind\b/i },
	{ then: 'maximum yield, economic optimum', now: /\bmost (yield|profit)\b/i },
	{ then: 'simulated year, simulated seasons', now: /made-up (year|season)|\bmany seasons\b/i },
	{ then: 'sufficiency', now: /feed the crop/i },
	{ then: 'build-up and maintenance', now: /build and maintain/i },
	{ then: 'target range', now: /keep in the range/i },
	{ then: 'base saturation', now: /balance (of )?the cations/i },
	{ then: 'banded split programme', now: /\bplaced and timed\b/i },
	{ then: 'pre-sidedress nitrate test', now: /nitrate(-N| test)? in the standing crop/i },
	{ then: 'N-rich and zero-N strips', now: /reference strips?/i },
	{ then: 'drop-nozzle band at the row base', now: /row-base stream/i },
	{ then: 'application', now: /(?<!side-|top-)\bdressings?\b(?!-)/i },
	{ then: 'supplies', now: /\bcarries\b/i },
	{ then: 'effective neutralizing value', now: /that acts to/i },
	{ then: 'lime to offset acidity', now: /lime debt/i },
	{ then: 'my rules', now: /house rules?/i },
	{ then: 'no-spread dates', now: /on which nothing goes on/i },
	{ then: 'setbacks', now: /distances? to keep/i },
	{ then: 'scouting and records', now: /walk and book/i },
	{ then: 'save, record', now: /\bbook (the|a) (count|test|strips|harvest)|\bbooked\b/i },
	{ then: 'undo, delete, import', now: /\b(take|took|taken) (it )?(back|out|away)\b|\b(take|took|taken) in\b(?!to)/i },
	{ then: 'edit', now: /\bmend(ing|ed|s)?\b/i },
	{ then: 'save', now: /\bkeep (it|the (goal|facts|prices|product|pass|sample|point|corners|name))\b/i },
	{ then: 'no problem found by the rules checked', now: /nothing against this plan/i },
	{ then: 'residual SS', now: /squares left/i },
	{ then: 'assumed, not measured', now: /taken because it is not known/i }
];

/** Where an old word stands all the same: ids that bodies and books hold, and words that mean something else there. */
const ALLOWED: readonly RegExp[] = [
	/^mind( zone)?$/,
	/^mend( zone)?$/,
	/^row-base stream$/,
	/^(from now on|for this dressing)$/,
	/^(feed-the-crop|build-and-maintain|placed-and-timed|balance-cations)$/,
	/^(\.{0,2}\/)?[a-z][\w/$.-]*$/
];

/** The texts of a TypeScript source: literals and the fixed parts of templates. */
function textsOfScript(source: string, file: string): string[] {
	const texts: string[] = [];
	const visit = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
		if (ts.isStringLiteralLike(node)) texts.push(node.text);
		else if (ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) texts.push(node.text);
		ts.forEachChild(node, visit);
	};
	visit(ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true));
	return texts;
}

/** The texts of a screen: what stands between tags, in attributes, and in expressions. */
function textsOfScreen(source: string): string[] {
	const texts: string[] = [];
	const visit = (node: unknown): void => {
		if (Array.isArray(node)) return node.forEach(visit);
		if (typeof node !== 'object' || node === null) return;
		const { type, data, value, name } = node as Record<string, unknown>;
		if (type === 'StyleSheet' || type === 'Comment' || type === 'ImportDeclaration') return;
		if (type === 'Attribute' && (name === 'class' || name === 'kind')) return;
		if (type === 'Text' && typeof data === 'string') texts.push(data);
		if (type === 'Literal' && typeof value === 'string') texts.push(value);
		if (type === 'TemplateElement' && typeof value === 'object')
			texts.push(String((value as { cooked?: string }).cooked));
		for (const part of Object.values(node)) visit(part);
	};
	visit(parse(source, { modern: true }));
	return texts;
}

/** The texts of a document of ours: every value, but not what names something for the program. */
function textsOfJson(node: unknown): string[] {
	if (typeof node === 'string') return [node];
	if (typeof node !== 'object' || node === null) return [];
	return Object.values(node).flatMap(textsOfJson);
}

function filesUnder(folder: string, fits: RegExp): string[] {
	return readdirSync(folder, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && fits.test(entry.name) && !/\.test(-help)?\.ts$|\.d\.ts$/.test(entry.name))
		.map(({ parentPath, name }) => path.join(parentPath, name));
}

function oldWordsIn(texts: readonly string[]): string[] {
	return texts
		.map((text) => text.replace(/\s+/g, ' ').trim())
		.filter((text) => !ALLOWED.some((allowed) => allowed.test(text)))
		.flatMap((text) =>
			REPLACED.filter(({ now }) => now.test(text)).map(({ then }) => `“${text.slice(0, 120)}”: say ${then}`)
		);
}

describe('the words of the trade', () => {
	const read = (file: string) => readFileSync(file, 'utf8');

	it.each([
		['code', filesUnder('src', /\.ts$/), (file: string) => textsOfScript(read(file), file)],
		['screens', filesUnder('src', /\.svelte$/), (file: string) => textsOfScreen(read(file))],
		[
			'packs',
			[...filesUnder('packs', /\.json$/), ...filesUnder('demo', /\.json$/)],
			(file: string) => textsOfJson(JSON.parse(read(file)))
		],
		[
			'docs',
			[...filesUnder('docs', /\.md$/), 'README.md'],
			(file: string) =>
				read(file)
					.replace(/`[^`]*`/g, '')
					.split('\n')
		]
	] as const)('stand in all %s', (_kind, files, textsOf) => {
		expect(files.length).toBeGreaterThan(5);
		const found = files.flatMap((file) => oldWordsIn(textsOf(file)).map((one) => `${file}: ${one}`));
		expect(found).toEqual([]);
	});

	it('are looked for in what is really read', () => {
		expect(
			oldWordsIn(textsOfScreen('<p title="Mend it">Keep {`the ${x} goal`}</p><Button>Take out</Button>'))
		).toHaveLength(2);
		expect(oldWordsIn(textsOfScript('const a = `${n} to mind`; const b = "feed the crop";', 'a.ts'))).toHaveLength(2);
	});
});
