import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { validator } from '../../check/validator';
import { RULES } from './season-rules';

const folder = 'src/core/season/checks';
const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(
	(file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && file.includes('/')
);
const code = files.map((file) => readFileSync(path.join(folder, file), 'utf8'));

describe('the thresholds of the season’s rules', () => {
	it('fit their schema, and each rests on something that is named', () => {
		expect(() =>
			validator('season-rules')(JSON.parse(readFileSync('packs/reference/season-rules.json', 'utf8')))
		).not.toThrow();
		for (const [id, rule] of Object.entries(RULES)) {
			if (typeof rule === 'string') continue;
			if (rule.basis === 'published' || rule.basis === 'memory') expect(rule.citation, id).toMatch(/\w{5}/);
		}
	});

	it('are read by the rule that they are named for, each of them', () => {
		for (const [id, rule] of Object.entries(RULES)) {
			if (typeof rule === 'string') continue;
			const reader = code.find((text) => text.includes(`RULES['${id}']`) || text.includes(`RULES.${id}`));
			expect(reader, id).toContain(`'${id}'`);
			for (const name of Object.keys(rule)) {
				if (name !== 'basis' && name !== 'citation')
					expect(reader, `${id} ${name}`).toMatch(new RegExp(`\\b${name}\\b`));
			}
		}
	});

	it('stand in the data alone: no rule has a number with a unit of its own', () => {
		for (const [at, text] of code.entries()) {
			expect(text, files[at]).not.toMatch(/^const [A-Z_]+_(LB|IN|DAYS|MM|PERCENT|LEAVES|CEC|TONS)\b(?!.*1e-6)/m);
		}
	});
});
