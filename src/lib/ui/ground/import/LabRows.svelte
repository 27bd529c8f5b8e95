<!-- The rows of a lab file as they will be read; bad cells can be written again, rows left out or sent to a field. -->
<script lang="ts">
	import { partText } from '$core/ground/sampling/part-text';
	import Mark from '../../figure/Mark.svelte';
	import { analyteName } from '$core/ground/analyte-names';
	import type { Analyte, LabDraft } from '$core/schema-types';
	import { keysOf } from '$core/check/typed-object';
	import { leafUnit } from '$core/units/leaf-units';
	import { longDate } from '$core/units/day-text';
	import ListTable from '../../tables/ListTable.svelte';
	import type { ImportPage } from '$lib/server/pages/import-page';

	type Row = NonNullable<ImportPage['preview']>['rows'][number];
	interface Props {
		/** Those that wait for a decision first: they are what the adviser has to do. */
		rows: Row[];
		/** How many the next step shows beside them, and how many the file has. */
		more: number;
		all: number;
		draft: LabDraft;
		fields: { id: string; name: string }[];
		changed: () => void;
	}
	let { rows, more, all, draft = $bindable(), fields, changed }: Props = $props();
	function correct(line: number, column: number, text: string): void {
		(draft.corrections[line] ??= {})[column] = text;
		changed();
	}

	function leaveOut(line: number, out: boolean): void {
		draft.leftOut = out ? [...draft.leftOut, line] : draft.leftOut.filter((other) => other !== line);
		changed();
	}

	function send(line: number, to: string): void {
		const others = Object.entries(draft.targets).filter(([other]) => other !== String(line));
		draft.targets = Object.fromEntries(to === '' ? others : [...others, [String(line), to]]);
		changed();
	}

	/** All rows of one sample take its place together. */
	function replace({ inBook }: Row, on: boolean): void {
		const lines = rows.filter((row) => row.inBook && row.inBook.sampleId === inBook?.sampleId).map(({ line }) => line);
		const others = (draft.replaces ?? []).filter((line) => !lines.includes(line));
		draft.replaces = on ? [...others, ...lines] : others;
		changed();
	}

	function replacedText({ inBook }: Row): string {
		const sheets = inBook?.sheets ?? [];
		if (sheets.length === 0) return 'Replaces the sample in the book.';
		return `Replaces the sample in the book; sheet ${sheets.map((number) => `no. ${number}`).join(', ')} will be out of date.`;
	}

	function resultsText({ layer, leaf }: Row): string {
		if (leaf) {
			return keysOf(leaf.results)
				.map((element) => `${element} ${leaf.results[element]} ${leafUnit(element)}`)
				.join(', ');
		}
		return (layer?.results ?? [])
			.map(({ analyte, qualifier, value, unit }) => {
				const shown = unit === 'pH' ? '' : ` ${unit.replace('-furrow', '').replace('100g', '100 g')}`;
				return `${shortName(analyte)} ${qualifier ?? ''}${value}${shown}`;
			})
			.join(', ');
	}

	function shortName(analyte: Analyte): string {
		return analyte === 'bufferPh' || analyte === 'bulkDensity' ? analyteName(analyte) : analyte;
	}
</script>

{#snippet targetCell({ line, blank, target, field, bag }: Row)}
	{#if blank}
		<span class="soft">blank line</span>
	{:else}
		{#if target}
			{target.name}{#if bag?.fieldId === target.fieldId && partText(bag)}, {partText(bag)}{/if}
			<span class="soft small">{target.grower}{target.fieldId === 'new' ? ', new field' : ''}</span>
		{:else}{field}{/if}
		<select
			aria-label={`Field of line ${line}`}
			value={draft.targets[line] ?? ''}
			onchange={(event) => send(line, event.currentTarget.value)}
		>
			<option value="">{bag ? 'by its label' : 'by its name'}</option>
			<option value="new">a new field</option>
			{#each fields as { id, name } (id)}<option value={id}>{name}</option>{/each}
		</select>
	{/if}
{/snippet}
{#snippet dateCell({ date }: Row)}<span class="nowrap">{date ? longDate(date) : ''}</span>{/snippet}
{#snippet depthCell({ layer }: Row)}
	<span class="nowrap">{layer ? `${layer.top}-${layer.bottom} ${layer.depthUnit}` : ''}</span>
{/snippet}
{#snippet leavesCell({ leaf, spot }: Row)}
	{leaf ? `${leaf.crop} at ${leaf.stage}${spot === 'whole' ? '' : `, ${spot} spot`}` : ''}
	<span class="soft small">{leaf?.part}</span>
{/snippet}
{#snippet readCell(row: Row)}
	{#each row.problems as { column, message }, index (index)}
		<div class="problem">
			<Mark severity="stop" />
			{message}
			{#if column >= 0}
				<input
					aria-label={`Write line ${row.line}, ${draft.mapping.columns[column]?.header ?? ''} again`}
					value={row.cells[column] ?? ''}
					onchange={(event) => correct(row.line, column, event.currentTarget.value)}
				/>
			{/if}
		</div>
	{:else}{resultsText(row)}{/each}
	{#if row.replaces}
		<div>
			{replacedText(row)}
			<button type="button" class="plain" onclick={() => replace(row, false)}>Keep the old one</button>
		</div>
	{:else if row.inBook}
		<button type="button" class="plain" onclick={() => replace(row, true)}
			>It is the lab’s correction: replace it</button
		>
	{/if}
{/snippet}
{#snippet outCell({ line, blank }: Row)}
	{#if blank}
		left out
	{:else if draft.leftOut.includes(line)}
		left out <button type="button" class="plain" onclick={() => leaveOut(line, false)}>include</button>
	{:else}
		<button type="button" class="plain" onclick={() => leaveOut(line, true)}>Leave out</button>
	{/if}
{/snippet}

<ListTable
	label="Rows of the file"
	{rows}
	key={({ line }) => String(line)}
	rowClass={({ status }) => (status === 'undecided' ? 'bad' : status === 'left out' ? 'out' : '')}
	columns={[
		{ name: 'Line', of: ({ line }) => line, number: true },
		{ name: 'Goes to', of: ({ target, field }) => target?.name ?? field, cell: targetCell },
		{ name: 'Sampled', of: ({ date }) => date, cell: dateCell },
		draft.mapping.leaf
			? { name: 'Leaves', of: ({ leaf }) => leaf?.stage, cell: leavesCell }
			: { name: 'Depth', of: ({ layer }) => layer?.top, cell: depthCell },
		{ name: 'Read as', of: ({ problems }) => -problems.length, cell: readCell },
		{ name: '', cell: outCell }
	]}
/>
{#if more > 0}
	<p>
		<a href={`?rows=${rows.length + more}`} data-sveltekit-noscroll data-sveltekit-keepfocus data-sveltekit-replacestate
			>Show {more} more of {all}</a
		>
	</p>
{/if}

<style>
	:global(.list tr.bad td) {
		background: var(--stop-wash);
	}
	:global(.list tr.out td) {
		color: var(--ink-soft);
	}
	.nowrap {
		white-space: nowrap;
	}
	select,
	input {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		padding: 0.15rem 0.3rem;
		font-size: 0.86rem;
		max-width: 9rem;
		color: var(--ink);
	}
</style>
