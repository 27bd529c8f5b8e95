import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

/** A page goes blank where two rows of one list have the same key, so words that people type or that rules make are no keys. */
const WORDS =
	/\b(caution|text|note|title|label|change|decision|reason|limit|why|site|field|plot|share|remedy\.label|(zone|set|outcome|stage|season|treatment)\.name|\w+Name\(.*\))$/;
const EACH = /\{#each\b[\s\S]*?\((?<key>(?:[^(){}]|\([^()]*\)|\$\{[^}]*\})*)\)\}/g;

it('no list of a page is keyed by words, which two of its rows may share', () => {
	const files = execFileSync('git', ['ls-files', 'src/*.svelte'], { encoding: 'utf8' }).trim().split('\n');
	const keys = files.flatMap((file) =>
		[...readFileSync(file, 'utf8').matchAll(EACH)].map(({ groups }) => ({ file, key: groups!.key!.trim() }))
	);
	expect(keys.length).toBeGreaterThan(200);
	expect(keys.filter(({ key }) => WORDS.test(key))).toEqual([]);
});
