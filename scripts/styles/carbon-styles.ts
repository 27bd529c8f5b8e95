import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import postcss, { type Rule } from 'postcss';
import { PurgeCSS } from 'purgecss';
import type { Plugin } from 'vite';
import { isOfForms, partsNamedIn, sourcesOf, sourcesOfFrame } from './carbon-parts';

/** The date picker's classes are set by this script. */
const SET_BY_SCRIPT = ['node_modules/flatpickr/dist/flatpickr.js'];
/** Looks that Carbon's parts take on by a property alone: their rules stay out until a source of ours has that word. */
const LOOKS = [
	{ asked: /\bfluid\b/, classes: /--fluid/ },
	{ asked: /\bskeleton\b/i, classes: /skeleton/ },
	// The words that a button of nothing but an icon shows beside it; a menu of a row has its name inside.
	{ asked: /<Button[^<]*\siconDescription\b/, classes: /--icon-only--|tooltip__trigger/ }
];
/** The query that asks for the styles of what is not of the frame. */
const FORMS = '?forms';
const LOOK_OF_FORMS = '$lib/ui/look/carbon-forms';
const OURS = path.resolve('src');

/**
 * Carbon's stylesheet without the web fonts that it names on an outside host (ours ship with the app), without the rules
 * of parts that no screen uses, and in two: what the frame and lists are made of, and the rest, which comes with the first
 * part of ours that imports something of it.
 */
export function carbonStyles(): Plugin {
	/** By the sheet as it was: both halves, and the builds for browser and server, are of one that is purged once. */
	const used = new Map<string, Promise<string>>();
	return {
		name: 'carbon-styles',
		enforce: 'pre',
		async transform(code, id) {
			if (id.startsWith(OURS) && id.endsWith('.svelte') && partsNamedIn(code).some(isOfForms))
				return { code: withLookOfForms(code, id), map: null };
			if (!/carbon-components-svelte.*\.css(\?forms)?$/.test(id)) return undefined;
			const purged = used.get(code) ?? usedStyles(code.replace(/@font-face\s*{[^}]*}/g, ''));
			used.set(code, purged);
			return { code: halfOf(await purged, id.endsWith(FORMS)), map: null };
		}
	};
}

function withLookOfForms(code: string, id: string): string {
	const script = '<script lang="ts">';
	if (!code.includes(script)) throw new Error(`${id} has no ${script}; its parts would have no styles`);
	return code.replace(script, `${script}import '${LOOK_OF_FORMS}';`);
}

async function usedStyles(css: string): Promise<string> {
	const ours = sourcesIn('src');
	const text = [
		...ours,
		...sourcesOf(ours.flatMap(partsNamedIn)),
		...SET_BY_SCRIPT.map((file) => readFileSync(file, 'utf8'))
	].join('\n');
	const [purged] = await new PurgeCSS().purge({
		content: [{ raw: text, extension: 'html' }],
		css: [{ raw: css }],
		variables: true,
		blocklist: LOOKS.filter(({ asked }) => !ours.some((source) => asked.test(source))).map(({ classes }) => classes),
		safelist: { standard: headsIn(text).map((head) => new RegExp(`^${head}`)), greedy: [/^data-/] }
	});
	if (!purged) throw new Error('the stylesheet of Carbon was not read');
	return purged.css;
}

/** "bx--btn--${kind}" is the head of classes whose ends are not in the text. */
const headsIn = (text: string): string[] => [...new Set(text.match(/\bbx--[\w-]+(?:--|__)(?=\$\{)/g))];

/** The rules of what is not of the frame, or the others. */
function halfOf(css: string, forms: boolean): string {
	const text = sourcesOfFrame().join('\n');
	const named = new Set(text.match(/\bbx--[\w-]+/g));
	const heads = headsIn(text);
	const ofForms = (selector: string): boolean =>
		(selector.replace(/:not\([^)]*\)/g, '').match(/\bbx--[\w-]+/g) ?? []).some(
			(name) => !named.has(name) && !heads.some((head) => name.startsWith(head))
		);
	const sheet = postcss.parse(css);
	sheet.walkRules((rule) => {
		if (isStepOfMotion(rule)) return;
		const kept = rule.selectors.filter((selector) => ofForms(selector) === forms);
		if (kept.length === 0) rule.remove();
		else rule.selectors = kept;
	});
	sheet.walkAtRules((at) => {
		if (at.nodes?.length === 0 || (forms && at.name.endsWith('keyframes'))) at.remove();
	});
	return sheet.toString();
}

/** "from", "50%": what moves where, of no part. */
const isStepOfMotion = ({ parent }: Rule): boolean =>
	parent?.type === 'atrule' && /keyframes$/.test(String((parent as { name?: string }).name));

function sourcesIn(folder: string): string[] {
	return readdirSync(folder, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile() && /\.(svelte|js|ts|css|html)$/.test(entry.name) && !entry.name.endsWith('.d.ts'))
		.map(({ parentPath, name }) => readFileSync(path.join(parentPath, name), 'utf8'));
}
