// Writes docs/season-rules.md: the sentences of the template with the numbers and the basis of the rules' own data.
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));
const read = (name: string) => readFileSync(path.join(root, name), 'utf8');

/** @throws Error for a placeholder that names no number of the data */
export function seasonRulesPage(): string {
	const rules = JSON.parse(read('packs/reference/season-rules.json')) as Record<string, unknown>;
	const at = (where: string) => where.split('.').reduce<unknown>((held, key) => Object(held)[key] as unknown, rules);
	return read('scripts/docs/season-rules.template.md')
		.replace(/\{basis:([\w-]+)\}/g, (_, rule: string) => {
			const { basis, citation } = at(rule) as { basis: string; citation?: string };
			return citation === undefined ? basis : `${basis}: ${citation}`;
		})
		.replace(/\{([\w.-]+)(\|%)?\}/g, (_, where: string, percent?: string) => {
			const value = at(where);
			if (typeof value !== 'number') throw new Error(`season-rules.template.md: “${where}” is no number of the data`);
			return String(percent ? Number((value * 100).toFixed(6)) : value);
		});
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
	writeFileSync(path.join(root, 'docs/season-rules.md'), seasonRulesPage());
}
