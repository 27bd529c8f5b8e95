import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';
import { seasonRulesPage } from '../../../../scripts/docs/season-rules';

const page = seasonRulesPage();

it('docs/season-rules.md is written from the rules’ data: npx tsx scripts/docs/season-rules.ts', () => {
	expect(readFileSync('docs/season-rules.md', 'utf8')).toBe(page);
});

it('every rule has its line, and every line is of a rule', () => {
	const folder = 'src/core/season/checks';
	const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((name) =>
		/(?<!test|test-help)\.ts$/.test(name)
	);
	const code = files.map((name) => readFileSync(path.join(folder, name), 'utf8')).join('\n');
	const rules = new Set([...code.matchAll(/\brule: '([a-z0-9-]+)'/g)].map(([, rule]) => rule!));
	const lines = page.split('\n').filter((line) => line.startsWith('- '));
	const told = lines.flatMap((line) => [...line.split('(')[0]!.matchAll(/`([a-z0-9-]+)`/g)].map(([, rule]) => rule!));
	expect(rules.size).toBeGreaterThan(40);
	expect([...told].sort()).toEqual([...rules].sort());
});
