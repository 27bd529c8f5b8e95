<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { formatNumber } from '$core/units/display';
	import { shortDate } from '$core/units/day-text';
	import { ageText } from '$lib/ui/forms/dates';
	import Severity from '$lib/ui/figure/Severity.svelte';
	import NewField from '$lib/ui/frame/NewField.svelte';
	import { question } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	type Row = PageData['rows'][number];
	const SORTS = {
		grower: (a: Row, b: Row) => a.grower.localeCompare(b.grower) || a.name.localeCompare(b.name),
		field: (a: Row, b: Row) => a.name.localeCompare(b.name),
		crop: (a: Row, b: Row) => (a.cropName ?? '~').localeCompare(b.cropName ?? '~') || a.name.localeCompare(b.name),
		'oldest sample': (a: Row, b: Row) => (a.sampledOn ?? '').localeCompare(b.sampledOn ?? ''),
		'next date': (a: Row, b: Row) => (a.nextPass ?? '9').localeCompare(b.nextPass ?? '9')
	};
	const STEP = 300;
	const OPEN_AT_ONCE = 50;

	let words = $state('');
	let sort = $state<keyof typeof SORTS>('grower');
	let shown = $state(STEP);
	let adding = $state(false);
	/** What is open by field; worked out for the rows on show only, so that a long roster comes at once. */
	let open = $state<Record<string, { stop: number; mind: number }>>({});

	const filtered = $derived(data.rows.filter((row) => matches(row, words)).sort(SORTS[sort]));
	const onShow = $derived(filtered.slice(0, shown));
	const growers = $derived(new Set(data.rows.map(({ grower }) => grower)).size);

	$effect(() => {
		const missing = onShow.map(({ id }) => id).filter((id) => !(id in open));
		if (missing.length > 0) void findOpen(missing.slice(0, OPEN_AT_ONCE));
	});

	async function findOpen(fields: string[]): Promise<void> {
		const { answer } = await question('GET /api/cautions', {}, { year: String(data.year), field: fields });
		if (answer) open = { ...open, ...answer };
	}

	function matches(row: Row, text: string): boolean {
		const hay = `${row.name} ${row.grower} ${row.cropName ?? ''} ${stands(row).text}`.toLowerCase();
		return text
			.toLowerCase()
			.split(/\s+/)
			.every((word) => hay.includes(word));
	}

	/** The first thing still to be done, in the order of the work. */
	function stands({ samples, crop, choices, passes, sheets }: Row): { word: string; text: string } {
		if (samples === 0) return { word: 'ground', text: 'needs a soil sample' };
		if (crop === null) return { word: 'rates', text: 'needs a crop and goal' };
		if (choices === 0) return { word: 'rates', text: 'rates to choose' };
		if (passes === 0) return { word: 'season', text: 'passes to plan' };
		return sheets === 0 ? { word: 'sheet', text: 'sheet to issue' } : { word: 'sheet', text: 'sheet issued' };
	}
</script>

<div class="page">
	<section class="fortnight">
		<h1>This fortnight</h1>
		{#if data.due.length === 0}
			<p class="soft">No pass is dated in the two weeks from {shortDate(data.today)}.</p>
		{:else}
			<ul>
				{#each data.due as { label, from, passes } (label)}
					<li>
						<strong>{label}</strong>: {passes.length}
						{passes.length === 1 ? 'field' : 'fields'},
						{#if from < data.today}<span class="late">overdue since {shortDate(from)}</span>{:else}about {shortDate(
								from
							)}{/if}
						<span class="soft">
							{#each passes as pass, index (index)}
								<a href={`/field/${pass.fieldId}/${pass.year}/season`}>{pass.field}</a>{index < passes.length - 1
									? ', '
									: ''}
							{/each}
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
				<Button size="small" href="/import">Import a lab file</Button>
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
					<TextInput
						size="sm"
						labelText="Filter by field, grower, crop or what is to do"
						bind:value={words}
						oninput={() => (shown = STEP)}
					/>
				</div>
				<div class="sort">
					<Select size="sm" labelText="Sort by" bind:selected={sort}>
						{#each Object.keys(SORTS) as name (name)}<SelectItem value={name} text={name} />{/each}
					</Select>
				</div>
			</div>
			<table class="ledger">
				<thead>
					<tr>
						<th>Field</th>
						<th>Grower</th>
						<th class="num">Acres</th>
						<th>Crop and goal</th>
						<th>Sample</th>
						<th>Next to do</th>
						<th>Next pass</th>
						<th>Open</th>
					</tr>
				</thead>
				<tbody>
					{#each onShow as row (row.id)}
						{@const next = stands(row)}
						<tr onclick={() => void goto(`/field/${row.id}/${data.year}/${next.word}`)}>
							<td
								><a href={`/field/${row.id}/${data.year}/ground`} onclick={(e) => e.stopPropagation()}>{row.name}</a
								></td
							>
							<td>{row.grower}</td>
							<td class="num">{row.areaAc === null ? '' : formatNumber(row.areaAc, 'ac')}</td>
							<td>
								{#if row.cropName && row.yieldGoal !== null}
									{row.cropName} {formatNumber(row.yieldGoal, 'yield')} {row.yieldUnit}
								{/if}
							</td>
							<td>
								{#if row.sampledOn}{ageText(row.sampledOn, data.today)} old{:else if row.samples > 0}no date{:else}none{/if}
							</td>
							<td>
								<a href={`/field/${row.id}/${data.year}/${next.word}`} onclick={(e) => e.stopPropagation()}
									>{next.text}</a
								>
							</td>
							<td
								>{#if row.nextPass}{shortDate(row.nextPass)} <span class="soft">{row.nextLabel}</span>{/if}</td
							>
							<td class="nowrap">
								{#if open[row.id]?.stop}<Severity severity="stop" /> {open[row.id]?.stop}{/if}
								{#if open[row.id]?.mind}<Severity severity="mind" /> {open[row.id]?.mind}{/if}
							</td>
						</tr>
					{:else}
						<tr><td colspan="8" class="soft">No field has these words.</td></tr>
					{/each}
				</tbody>
			</table>
			{#if filtered.length > shown}
				<p>
					<button type="button" class="plain" onclick={() => (shown += STEP)}>
						Show {Math.min(STEP, filtered.length - shown)} more of {filtered.length}
					</button>
				</p>
			{/if}
		{/if}
	</section>
</div>
<NewField bind:open={adding} year={data.year} growers={[...new Set(data.rows.map(({ grower }) => grower))]} />

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
	.sort {
		width: 11rem;
	}
	tbody tr {
		cursor: pointer;
	}
	/* On a phone each field is a card: name and acres, grower and what is open, crop and sample, what is next. */
	@media (max-width: 700px) {
		.heading {
			flex-wrap: wrap;
		}
		.ledger,
		.ledger tbody {
			display: block;
		}
		.ledger thead {
			display: none;
		}
		.ledger tbody tr {
			display: grid;
			grid-template-columns: 1fr auto;
			gap: 0.1rem 0.8rem;
			margin-bottom: 0.6rem;
			padding: 0.7rem 0.9rem;
			border: 1px solid var(--rule);
			background: var(--sheet);
		}
		.ledger td {
			padding: 0;
			border: 0;
		}
		.ledger td:nth-child(1) {
			font-size: 1.1rem;
			font-weight: 650;
		}
		.ledger td:nth-child(3) {
			grid-area: 1 / 2;
		}
		.ledger td:nth-child(3):not(:empty)::after {
			content: ' ac';
		}
		.ledger td:nth-child(2) {
			color: var(--ink-soft);
		}
		.ledger td:nth-child(8) {
			grid-area: 2 / 2;
			text-align: right;
		}
		.ledger td:nth-child(5)::before {
			content: 'sample ';
		}
		.ledger td:nth-child(7) {
			grid-column: 1 / -1;
		}
	}
</style>
