<script lang="ts">
	import type { OpenCautions } from '$core/schema-types';
	import { Button, Search } from 'carbon-components-svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import { goto } from '$app/navigation';
	import { shortDate } from '$core/units/day-text';
	import Severity from '$lib/ui/figure/Severity.svelte';
	import Later from '$lib/ui/frame/Later.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { areaText, cropText, sampleText } from '$lib/ui/tables/roster-text';
	import { nextToDo, WORK } from '$lib/next-to-do';
	import { question } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	type Row = PageData['rows'][number];
	const OPEN_AT_ONCE = 50;
	/** Fields that a line of the fortnight names before it is asked for all. */
	const NAMED = 12;
	let whole = $state<Record<string, true>>({});

	let words = $state('');
	let adding = $state(false);
	/** What is open by field; worked out for the rows on show only, so that a long roster comes at once. */
	let open = $state<OpenCautions>({});

	const phone = new MediaQuery('(max-width: 700px)');
	const filtered = $derived(
		data.rows
			.filter((row) => matches(row, words))
			.sort((a, b) => a.grower.localeCompare(b.grower) || a.name.localeCompare(b.name))
	);
	const growers = $derived(new Set(data.rows.map(({ grower }) => grower)).size);

	const asked: Record<string, true> = {};
	let waiting: string[] = [];

	/** While rows run past, none asks: it is asked when no other has come for this long, ms. */
	const AT_REST_MS = 120;
	let rest: ReturnType<typeof setTimeout> | undefined;

	/** A row that comes into view asks once what is open on its field; rows that come together ask together. */
	function inView(_row: HTMLElement, id: string): void {
		if (asked[id]) return;
		asked[id] = true;
		waiting.push(id);
		clearTimeout(rest);
		rest = setTimeout(askForThoseWaiting, AT_REST_MS);
	}

	function askForThoseWaiting(): void {
		const fields = waiting;
		waiting = [];
		for (let at = 0; at < fields.length; at += OPEN_AT_ONCE) void findOpen(fields.slice(at, at + OPEN_AT_ONCE));
	}

	async function findOpen(fields: string[]): Promise<void> {
		const { answer } = await question('GET /api/cautions', {}, { year: String(data.year), field: fields });
		if (answer) Object.assign(open, answer);
	}

	function matches(row: Row, text: string): boolean {
		const hay = `${row.name} ${row.grower} ${row.cropName ?? ''} ${stands(row).text}`.toLowerCase();
		return text
			.toLowerCase()
			.split(/\s+/)
			.every((word) => hay.includes(word));
	}

	const stands = (row: Row) => WORK[nextToDo(row)];
</script>

{#snippet nameCell(row: Row)}<a href={`/field/${row.id}/${data.year}/ground`}>{row.name}</a>{/snippet}
{#snippet areaCell(row: Row)}{areaText(row)}{/snippet}
{#snippet cropCell(row: Row)}{cropText(row)}{/snippet}
{#snippet sampleCell(row: Row)}{sampleText(row, data.today)}{/snippet}
{#snippet nextCell(row: Row)}
	{@const next = stands(row)}
	<a href={`/field/${row.id}/${data.year}/${next.word}`}>{open[row.id]?.outOfDate ? 'sheet out of date' : next.text}</a>
{/snippet}
{#snippet passCell({ nextPass, nextLabel }: Row)}
	{#if nextPass}{shortDate(nextPass)} <span class="soft">{nextLabel}</span>{/if}
{/snippet}
{#snippet openCell({ id }: Row)}
	<span class="nowrap" use:inView={id}>
		{#if open[id]?.stop}<Severity severity="stop" /> {open[id]?.stop}{/if}
		{#if open[id]?.mind}<Severity severity="mind" /> {open[id]?.mind}{/if}
	</span>
{/snippet}

<div class="page">
	<section class="fortnight">
		<h1>This fortnight</h1>
		{#if data.due.length === 0}
			<p class="soft">No pass is dated in the two weeks from {shortDate(data.today)}.</p>
		{:else}
			<ul>
				{#each data.due as { label, from, passes }, at (at)}
					<li>
						<strong>{label}</strong>: {passes.length}
						{passes.length === 1 ? 'field' : 'fields'},
						{#if from < data.today}<span class="late">overdue since {shortDate(from)}</span>{:else}about {shortDate(
								from
							)}{/if}
						<span class="soft">
							{#each whole[label] ? passes : passes.slice(0, NAMED) as pass, index (index)}{index > 0 ? ', ' : ''}<a
									href={`/field/${pass.fieldId}/${pass.year}/season`}>{pass.field}</a
								>{/each}{#if passes.length > NAMED && !whole[label]}
								<button type="button" class="plain more" onclick={() => (whole[label] = true)}
									>and {passes.length - NAMED} more</button
								>{/if}
						</span>
					</li>
				{/each}
			</ul>
		{/if}
	</section>

	<section class="section">
		<div class="heading">
			<div>
				<h2>{data.rows.length} fields, {growers} growers, plans for {data.year}</h2>
			</div>
			<div class="row">
				{#if data.rows.length > 1}<Button size="small" href={`/work?year=${data.year}`}>Work on many fields</Button
					>{/if}
				<Button size="small" kind="tertiary" href="/import">Import a lab file</Button>
				<Button size="small" kind="tertiary" onclick={() => (adding = true)}>New field</Button>
			</div>
		</div>

		{#if data.rows.length === 0}
			<div class="empty">
				<h2>An empty book</h2>
				<p>
					Start with a lab file: its rows become fields with samples, and you see each one before it is kept. Or add a
					field by hand and give it a sample later.
				</p>
				<div class="row">
					<Button size="small" href="/import">Import a lab file</Button>
					<Button size="small" kind="tertiary" onclick={() => (adding = true)}>New field</Button>
				</div>
			</div>
		{:else}
			<div class="row filters">
				<div class="words">
					<Search
						size="sm"
						labelText="Filter by field, grower, crop or what is to do"
						placeholder="Filter by field, grower, crop or what is to do"
						bind:value={words}
					/>
				</div>
			</div>
			<div class="roster">
				<ListTable
					label="Fields"
					rows={filtered}
					key={({ id }) => id}
					rowHeightPx={phone.current ? 128 : 38}
					onrow={(row) => void goto(`/field/${row.id}/${data.year}/${stands(row).word}`)}
					empty="No field has these words."
					columns={[
						{ name: 'Field', of: ({ name }) => name, cell: nameCell, share: 14 },
						{ name: 'Grower', of: ({ grower }) => grower, share: 17 },
						{ name: 'Area', of: ({ areaAc }) => areaAc, cell: areaCell, number: true, share: 6 },
						{ name: 'Crop and goal', of: ({ cropName }) => cropName, cell: cropCell, share: 17 },
						{ name: 'Sample', of: ({ sampledOn }) => sampledOn, cell: sampleCell, share: 11 },
						{ name: 'Next to do', of: (row) => stands(row).text, cell: nextCell, share: 13 },
						{ name: 'Next pass', of: ({ nextPass }) => nextPass, cell: passCell, share: 12 },
						{ name: 'Open', cell: openCell, share: 10 }
					]}
				/>
			</div>
		{/if}
	</section>
</div>
{#if !import.meta.env.SSR}
	<Later
		wanted={adding}
		load={() => import('$lib/ui/frame/NewField.svelte')}
		props={{
			open: adding,
			year: data.year,
			growers: [...new Set(data.rows.map(({ grower }) => grower))],
			close: () => (adding = false)
		}}
	/>
{/if}

<style>
	.fortnight ul {
		list-style: none;
		padding: 0;
		margin: 0.3rem 0 0;
	}
	.fortnight li {
		padding: 0.35rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.more {
		margin-left: 0.4rem;
	}
	.late {
		color: var(--stop);
		font-weight: 600;
	}
	.nowrap {
		white-space: nowrap;
	}
	.heading {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 1rem;
		margin-bottom: 0.75rem;
	}
	.filters {
		margin-bottom: 0.75rem;
	}
	.words {
		width: 24rem;
	}
	/* On a phone each field is a card: name and acres, grower and what is open, crop and sample, what is next. */
	@media (max-width: 700px) {
		.heading {
			flex-wrap: wrap;
		}
		.words {
			width: 100%;
		}
		.roster :global(table),
		.roster :global(tbody) {
			display: block;
		}
		.roster :global(thead) {
			display: none;
		}
		.roster :global(tbody tr[data-row]) {
			display: grid;
			height: auto;
			grid-template-columns: minmax(0, 1fr) auto;
			align-content: start;
			gap: 0.1rem 0.8rem;
			margin-bottom: 0.6rem;
			padding: 0.7rem 0.9rem;
			border: 1px solid var(--rule);
			background: var(--sheet);
		}
		.roster :global(.list.long tbody tr[data-row]) {
			height: 118px;
			margin-bottom: 10px;
			overflow: hidden;
			box-sizing: border-box;
		}
		.roster :global(.list tbody tr[data-row] td) {
			height: auto;
			padding: 0;
			border: 0;
		}
		.roster :global(td:nth-child(1)) {
			font-size: 1.1rem;
			font-weight: 650;
		}
		.roster :global(td:nth-child(3)) {
			grid-area: 1 / 2;
		}
		.roster :global(td:nth-child(2)) {
			color: var(--ink-soft);
		}
		.roster :global(td:nth-child(8)) {
			grid-area: 2 / 2;
			text-align: right;
		}
		.roster :global(td:nth-child(5)::before) {
			content: 'sample ';
		}
		.roster :global(td:nth-child(7)) {
			grid-column: 1 / -1;
		}
	}
</style>
