<!--
	A list of things as the library's table in our look: what can be compared sorts, the header stays in sight, and a long
	list draws only the rows that are in view.
-->
<script lang="ts" generics="Row">
	import { DataTable } from 'carbon-components-svelte';
	import type { DataTableNonEmptyHeader } from 'carbon-components-svelte/src/DataTable/DataTable.svelte';
	import { innerHeight } from 'svelte/reactivity/window';
	import type { Snippet } from 'svelte';
	import { valueIfKnown } from '$core/figure/figure';
	import Quantity from '../figure/Quantity.svelte';
	import type { Column } from './column';

	interface Props {
		/** What the list is of, for those who hear the page. */
		label: string;
		rows: readonly Row[];
		columns: readonly Column<Row>[];
		/** What tells one row from another; its place in the list where nothing is given. */
		key?: (row: Row, at: number) => string;
		sortable?: boolean;
		/** What a row opens into. */
		expanded?: Snippet<[Row]>;
		rowClass?: (row: Row) => string;
		onrow?: (row: Row) => void;
		/** Keys of the rows that are ticked; asks for a box at each row. */
		selected?: string[];
		/** The height of every row, px, of lists so long that only what is in view is drawn. */
		rowHeightPx?: number;
		/** Said where there is no row. */
		empty?: string;
	}
	let {
		label,
		rows,
		columns,
		key = (_row, at) => String(at),
		sortable = true,
		expanded,
		rowClass = () => '',
		onrow,
		selected = $bindable(),
		rowHeightPx,
		empty
	}: Props = $props();

	type Line = Record<string, string | number | null | undefined> & { id: string };

	const LONG = 100;
	/** Rows drawn beyond each edge of a long list's frame, and after how many rows scrolled they are drawn anew. */
	const BEYOND = 8;
	const STRIDE = 2;
	/** What stands above a long list on its page, px: its frame ends with the window. */
	const ABOVE_PX = 300;
	const LEAST_FRAME_PX = 320;
	const USUAL_WINDOW_PX = 800;

	const long = $derived(rowHeightPx !== undefined && rows.length > LONG);
	const headers: DataTableNonEmptyHeader<Line>[] = $derived(
		columns.map(({ name, of, answer, number, share }, at) => ({
			key: `c${at}`,
			value: name,
			...(!of && !answer ? { sort: false as const } : {}),
			...(number || answer ? { columnAlign: 'end' as const } : {}),
			...(long && share !== undefined ? { width: `${share}%` } : {})
		}))
	);
	const framePx = $derived(Math.max(LEAST_FRAME_PX, (innerHeight.current ?? USUAL_WINDOW_PX) - ABOVE_PX));
	const keyed = $derived(new Map(rows.map((row, at) => [key(row, at), row])));
	const lines: Line[] = $derived(
		[...keyed].map(([id, row]) => ({
			id,
			...Object.fromEntries(columns.map((column, at) => [`c${at}`, sortedBy(column, row)]))
		}))
	);

	/** The library counts what is ticked among the rows it has: what is ticked and not among them now is kept from it. */
	const ticked = $derived((selected ?? []).filter((id) => keyed.has(id)));
	const hidden = $derived((selected ?? []).filter((id) => !keyed.has(id)));

	/** The library names a table by a heading of its own, which would be heard twice under the section's. */
	function named(list: HTMLElement, name: string): { update: (name: string) => void } {
		const update = (to: string) => list.querySelector('table')?.setAttribute('aria-label', to);
		update(name);
		return { update };
	}

	/** The library draws its rows anew at every step of a scroll; a step that stays within what is drawn is kept from it. */
	function strides(list: HTMLElement, rowPx: number | undefined): { update: (rowPx: number | undefined) => void } {
		let height = rowPx;
		let drawnAt = 0;
		const thin = (event: Event) => {
			if (height === undefined || !(event.target instanceof Element)) return;
			const { scrollTop } = event.target;
			if (Math.abs(scrollTop - drawnAt) < STRIDE * height) event.stopPropagation();
			else drawnAt = scrollTop;
		};
		list.addEventListener('scroll', thin, { capture: true, passive: true });
		return { update: (to) => (height = to) };
	}

	function sortedBy({ of, answer }: Column<Row>, row: Row): string | number | null | undefined {
		const shown = answer?.(row);
		return shown ? valueIfKnown(shown) : of?.(row);
	}

	function columnOf(cellKey: string): Column<Row> | undefined {
		return columns[Number(cellKey.slice(1))];
	}
</script>

<div class="list" class:long class:opens={onrow !== undefined} use:named={label} use:strides={rowHeightPx}>
	<DataTable
		size="short"
		{headers}
		rows={lines}
		{sortable}
		expandable={expanded !== undefined}
		batchSelection={selected !== undefined}
		bind:selectedRowIds={() => ticked, (keys) => selected && (selected = [...hidden, ...keys])}
		rowClass={({ row }) => {
			const one = keyed.get(row.id);
			return one === undefined ? '' : rowClass(one);
		}}
		virtualize={rowHeightPx === undefined || !long
			? undefined
			: { itemHeight: rowHeightPx, containerHeight: framePx, overscan: BEYOND, threshold: LONG }}
		on:click:row={({ detail }) => {
			const one = keyed.get(detail.row.id);
			const onControl = detail.target instanceof Element && detail.target.closest('a, button, input, select, label');
			if (one !== undefined && !onControl) onrow?.(one);
		}}
	>
		<svelte:fragment slot="cell" let:row let:cell>
			{@const one = keyed.get(row.id)}
			{@const column = columnOf(cell.key)}
			{#if one !== undefined && column}
				{#if column.cell}{@render column.cell(one)}{:else if column.answer}{@const answer = column.answer(one)}
					{#if answer}<Quantity {answer} bare={column.bare === true} />{/if}{:else}{column.of?.(one) ?? ''}{/if}
			{/if}
		</svelte:fragment>
		<svelte:fragment slot="expandedRow" let:row>
			{@const one = keyed.get(row.id)}
			{#if one !== undefined}{@render expanded?.(one)}{/if}
		</svelte:fragment>
	</DataTable>
	{#if rows.length === 0 && empty}<p class="soft">{empty}</p>{/if}
</div>
