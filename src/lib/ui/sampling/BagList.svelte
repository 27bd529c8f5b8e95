<!-- Every bag with where it stands: labels, the list for the lab, and the next step of the chosen ones. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import type { MarkBagsAction } from '$core/schema-types';
	import type { SamplingPage } from '$lib/server/pages/office/sampling-page';
	import { save } from '../forms/call';
	import Choice from '../forms/Choice.svelte';
	import DayField from '../forms/days/DayField.svelte';
	import type { Column } from '../tables/column';
	import ListTable from '../tables/ListTable.svelte';

	const { data }: { data: SamplingPage } = $props();
	type Row = SamplingPage['bags'][number];
	type Shown = 'under way' | Row['stage'];

	/** Labels of one PDF: more would keep the server busy for many seconds. */
	const IN_A_FILE = 300;
	const SHOWN: readonly Shown[] = ['under way', 'planned', 'pulled', 'sent', 'back'];
	let shown = $state<Shown>('under way');
	let chosen = $state<string[]>([]);
	let day = $state(untrack(() => data.today));
	let who = $state('');
	let used = $state('0');
	let problem = $state('');

	const phone = new MediaQuery('(max-width: 700px)');
	/** What a phone in the field has no room for. */
	const besides: Column<Row>[] = [
		{ name: 'Cores', of: ({ cores }) => cores, number: true, share: 6 },
		{ name: 'Grower', of: ({ grower }) => grower, share: 16 }
	];

	const rows = $derived(data.bags.filter(({ stage }) => (shown === 'under way' ? stage !== 'back' : stage === shown)));
	const marked = $derived(rows.filter(({ id }) => chosen.includes(id)));
	const bags = (count: number) => (count === 1 ? '1 bag' : `${count} bags`);
	const open = $derived(marked.filter(({ stage }) => stage !== 'back').map(({ id }) => id));
	const files = $derived(
		Array.from({ length: Math.ceil(marked.length / IN_A_FILE) }, (_file, at) =>
			marked
				.slice(at * IN_A_FILE, (at + 1) * IN_A_FILE)
				.map(({ code }) => `bag=${code}`)
				.join('&')
		)
	);

	async function mark(stage: MarkBagsAction['stage']): Promise<void> {
		const named = who.trim();
		problem = await save('PUT /api/bags', {}, { bags: open, stage, on: day, ...(named ? { who: named } : {}) });
		if (!problem) chosen = [];
	}

	async function removeThem(): Promise<void> {
		problem = await save('POST /api/bags/removal', {}, { bags: open });
		if (!problem) chosen = [];
	}
</script>

{#snippet codeCell({ code }: Row)}<strong class="code">{code}</strong>{/snippet}
{#snippet fieldCell({ fieldId, field }: Row)}<a href={`/field/${fieldId}/${data.year}/ground`}>{field}</a>{/snippet}
{#snippet standsCell({ stands, stage, fieldId }: Row)}
	{#if stage === 'back'}<a href={`/field/${fieldId}/${data.year}/reading`}>{stands}</a>{:else}{stands}{/if}
{/snippet}

<div class="work-panel">
	<div class="fields">
		<DayField label="On" bind:date={day} />
		<TextInput size="sm" labelText="Pulled by, or sent to" bind:value={who} />
		<Button size="small" disabled={open.length === 0} onclick={() => void mark('pulled')}>Mark as pulled</Button>
		<Button size="small" disabled={open.length === 0} onclick={() => void mark('sent')}>Mark as sent</Button>
		<Button size="small" kind="ghost" disabled={open.length === 0} onclick={() => void mark('planned')}
			>Planned again</Button
		>
		<Button size="small" kind="ghost" disabled={open.length === 0} onclick={() => void removeThem()}>Remove</Button>
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="row">
		<div class="used">
			<TextInput size="sm" labelText="Labels used on the first sheet" inputmode="numeric" bind:value={used} />
		</div>
		{#each files as query, at (query)}
			{@const part = files.length > 1 ? `, part ${at + 1}` : ''}
			<a href={`/sampling/labels?skip=${Number(used) || 0}&${query}`} download
				>Labels of {bags(marked.length)}{part} (PDF)</a
			>
			<a href={`/sampling/list?${query}`} download>List for the lab{part} (CSV)</a>
			{#if marked.some(({ isPoint }) => isPoint)}
				<a href={`/sampling/points?${query}`} download>Points to walk to{part} (GeoJSON)</a>
			{/if}
		{:else}
			<span class="soft">Choose bags in the list below; the box at its head chooses all of them.</span>
		{/each}
	</div>
</div>
<div class="row filters">
	<Choice
		label="Which bags"
		value={shown}
		options={SHOWN.map((value) => ({ value, text: value === 'under way' ? 'bags under way' : value }))}
		choose={(value) => (shown = value as Shown)}
	/>
	<span class="soft">{marked.length} of {bags(rows.length)} chosen</span>
</div>
<ListTable
	label="Bags"
	{rows}
	key={({ id }) => id}
	bind:selected={chosen}
	rowHeightPx={38}
	empty={data.bags.length === 0 ? 'No bag is planned yet: choose fields under “Fields to sample”.' : 'No bag is so.'}
	columns={[
		{ name: 'Code', of: ({ code }) => code, cell: codeCell, share: 12 },
		{ name: 'Field', of: ({ field }) => field, cell: fieldCell, share: 16 },
		{ name: 'Of', of: ({ part }) => part, share: 14 },
		{ name: 'Depth', of: ({ depth }) => depth, share: 8 },
		...(phone.current ? [] : besides),
		{ name: 'Stands', of: ({ stands }) => stands, cell: standsCell, share: 28 }
	]}
/>

<style>
	.fields {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.6rem 1rem;
	}
	.fields > :global(:nth-child(1)) {
		width: 10rem;
	}
	.fields > :global(:nth-child(2)) {
		width: 14rem;
	}
	.row {
		align-items: center;
		gap: 0.5rem 1rem;
	}
	.work-panel .row {
		align-items: end;
	}
	.used {
		width: 14rem;
	}
	.filters {
		margin-bottom: 0.6rem;
	}
	.code {
		font-variant-numeric: tabular-nums;
		white-space: nowrap;
	}
</style>
