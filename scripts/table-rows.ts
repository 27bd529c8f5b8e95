import type { Plugin } from 'vite';

const TABLE = 'carbon-components-svelte/src/DataTable/DataTable.svelte';
/** Of Svelte's flags of a loop: "an item that is the same object has not changed". */
const ITEM_IMMUTABLE = 16;

/**
 * The library's table holds on to the cells that did not change, but is compiled as if each might have been changed in
 * place, so that every step of a scroll works all of them out anew. We never change a row in place: told so, the table
 * draws only the rows that come into view.
 */
export function tableRows(): Plugin {
	return {
		name: 'table-rows',
		enforce: 'post',
		transform(code, id, options) {
			if (options?.ssr === true || !id.endsWith(TABLE)) return;
			let loops = 0;
			const told = code
				.replace(/(\$\.each\(\s*\w+,\s*)(\d+)(?=,)/g, (_all, before: string, flags: string) => {
					loops++;
					return `${before}${Number(flags) | ITEM_IMMUTABLE}`;
				})
				.replaceAll('$.derived_safe_equal(', '$.derived(');
			if (loops === 0)
				throw new Error(`${TABLE} has no loop as Svelte compiled them; scrolling a long list would be slow`);
			return { code: told, map: null };
		}
	};
}
