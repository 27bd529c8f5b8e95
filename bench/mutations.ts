// How much the tests bite: changes one thing at a time in a seeded sample of the code and looks whether a test fails.
// `npx tsx bench/mutations.ts [how many = 40] [under = src/core] [seed = 1]`; works in a copy, prints what survived and the share killed.
import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import ts from 'typescript';

/** One change: what stands from `start` to `end` of a file becomes `text`. */
interface Mutant {
	file: string;
	line: number;
	start: number;
	end: number;
	from: string;
	text: string;
}

const SWAPPED: Partial<Record<ts.SyntaxKind, string>> = {
	[ts.SyntaxKind.LessThanToken]: '<=',
	[ts.SyntaxKind.LessThanEqualsToken]: '<',
	[ts.SyntaxKind.GreaterThanToken]: '>=',
	[ts.SyntaxKind.GreaterThanEqualsToken]: '>',
	[ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
	[ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
	[ts.SyntaxKind.PlusToken]: '-',
	[ts.SyntaxKind.MinusToken]: '+',
	[ts.SyntaxKind.AsteriskToken]: '/',
	[ts.SyntaxKind.SlashToken]: '*',
	[ts.SyntaxKind.AmpersandAmpersandToken]: '||',
	[ts.SyntaxKind.BarBarToken]: '&&'
};
/** A mutant that hangs is killed by the clock, as a test's own limit would. */
const MOST_MS = 240_000;

const [count = 40, under = 'src/core', seed = 1] = [Number(process.argv[2] ?? 40), process.argv[3], process.argv[4]];
const files = execFileSync('git', ['ls-files', under], { encoding: 'utf8' })
	.split('\n')
	.filter((file) => file.endsWith('.ts') && !/\.test(-help)?\.ts$|\.d\.ts$/.test(file));
const all = files.flatMap(mutantsOf);
const folder = mkdtempSync(path.join(tmpdir(), 'mutants-'));
execFileSync('git', ['clone', '-q', '.', folder]);
symlinkSync(path.resolve('node_modules'), path.join(folder, 'node_modules'));
for (const generated of ['.svelte-kit', 'src/core/schema-types'])
	cpSync(generated, path.join(folder, generated), { recursive: true });

let killed = 0;
for (const mutant of sample(all, count)) {
	const file = path.join(folder, mutant.file);
	const text = readFileSync(file, 'utf8');
	writeFileSync(file, text.slice(0, mutant.start) + mutant.text + text.slice(mutant.end));
	const { status } = spawnSync('npx', ['--no-install', 'vitest', 'related', '--run', '--bail', '1', mutant.file], {
		cwd: folder,
		stdio: 'ignore',
		timeout: MOST_MS
	});
	writeFileSync(file, text);
	if (status !== 0) killed++;
	else console.log(`survived  ${mutant.file}:${mutant.line}  ${mutant.from} -> ${mutant.text}`);
}
console.log(`${killed} of ${count} killed (${Math.round((100 * killed) / count)} %), of ${all.length} under ${under}`);
rmSync(folder, { recursive: true });

function mutantsOf(file: string): Mutant[] {
	const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
	const found: Mutant[] = [];
	const add = (node: ts.Node, text: string) => {
		const start = node.getStart(source);
		const { line } = source.getLineAndCharacterOfPosition(start);
		found.push({ file, line: line + 1, start, end: node.getEnd(), from: node.getText(source), text });
	};
	const visit = (node: ts.Node): void => {
		if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
		if (ts.isBinaryExpression(node)) {
			const swapped = SWAPPED[node.operatorToken.kind];
			const joinsText = [node.left, node.right].some(
				(side) => ts.isStringLiteralLike(side) || ts.isTemplateExpression(side)
			);
			if (swapped && !joinsText) add(node.operatorToken, swapped);
		}
		if (ts.isNumericLiteral(node)) add(node, String(Number(node.text) + 1));
		if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) {
			add(node, node.operand.getText(source));
		}
		if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText(source)})`);
		ts.forEachChild(node, visit);
	};
	visit(source);
	return found;
}

function sample(from: readonly Mutant[], size: number): Mutant[] {
	const random = xoroshiro128plus(Number(seed));
	const left = [...from];
	return Array.from(
		{ length: Math.min(size, left.length) },
		() => left.splice(uniformInt(random, 0, left.length - 1), 1)[0]!
	);
}
