<!-- The fields that are due, and bags planned from the chosen ones. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { SamplingPage } from '$lib/server/pages/office/sampling-page';
	import { call } from '../forms/call';
	import NumberField from '../forms/NumberField.svelte';
	import Choice from '../forms/Choice.svelte';
	import ListTable from '../tables/ListTable.svelte';
	import { areaText, cropText, sampleText } from '../tables/roster-text';
	import { areaFacts, bagsOf, usualBags, type BagGround } from './typed-bags';

	interface Props {
		data: SamplingPage;
		/** Bags were planned: said, and how many. */
		planned: (bags: number) => void;
	}
	const { data, planned }: Props = $props();
	type Row = SamplingPage['fields'][number];

	const unit = $derived(data.units === 'metric' ? 'cm' : 'in');
	const GROUNDS: readonly { value: BagGround; text: string }[] = [
		{ value: 'zone', text: 'each zone, where a field has zones' },
		{ value: 'field', text: 'the whole field' },
		{ value: 'point', text: 'each point of a grid' }
	];
	let typed = $state(untrack(() => usualBags(data.units)));
	let which = $state<'due' | 'all'>('due');
	let chosen = $state<string[]>([]);
	let problem = $state('');
	let busy = $state(false);

	const rows = $derived(which === 'all' ? data.fields : data.fields.filter(({ due }) => due !== undefined));
	const marked = $derived(rows.filter(({ id }) => chosen.includes(id)));
	const bags = $derived.by(() => {
		const read = bagsOf(typed, data.units);
		if ('problem' in read) return undefined;
		const { acresEach, byZone, depths } = read;
		const parts = ({ zones, areaAc }: Row) => {
			if (acresEach === undefined) return byZone ? Math.max(1, zones) : 1;
			return Math.max(1, Math.round((areaAc ?? 0) / acresEach));
		};
		return marked.reduce((sum, row) => sum + parts(row) * depths.length, 0);
	});

	async function plan(): Promise<void> {
		const read = bagsOf(typed, data.units);
		if ('problem' in read) return void (problem = read.problem);
		busy = true;
		const fields = marked.map(({ id }) => id);
		const { answer, problem: failed } = await call('POST /api/bags', {}, { year: data.year, fields, ...read });
		busy = false;
		problem = failed ?? '';
		if (!answer) return;
		chosen = [];
		planned(answer.codes.length);
	}
</script>

{#snippet nameCell({ id, name }: Row)}<a href={`/field/${id}/${data.year}/ground`}>{name}</a>{/snippet}
{#snippet areaCell(row: Row)}{areaText(row)}{/snippet}
{#snippet cropCell(row: Row)}{#if row.cropName}{cropText(row)}{:else}<span class="soft">none</span>{/if}{/snippet}
{#snippet sampleCell(row: Row)}{sampleText(row, data.today)}{/snippet}

<div class="work-panel">
	<div class="fields">
		<TextInput size="sm" labelText={`Depths, ${unit}`} placeholder="0-6, 6-24" bind:value={typed.depths} />
		<TextInput size="sm" labelText="Cores to a bag" inputmode="numeric" bind:value={typed.cores} />
		<Select size="sm" labelText="A bag of" bind:selected={typed.of}>
			{#each GROUNDS as { value, text } (value)}<SelectItem {value} {text} />{/each}
		</Select>
		{#if typed.of === 'point'}<NumberField facts={areaFacts(data.units)} bind:text={typed.areaEach} />{/if}
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="row">
		<Button size="small" disabled={busy || marked.length === 0} onclick={() => void plan()}>
			{bags === undefined || marked.length === 0
				? 'Plan bags'
				: `Plan ${typed.of === 'point' ? 'about ' : ''}${bags === 1 ? '1 bag' : `${bags} bags`}`}
		</Button>
		<Choice
			label="Which fields"
			value={which}
			options={[
				{ value: 'due', text: 'fields that are due' },
				{ value: 'all', text: 'all fields' }
			]}
			choose={(value) => (which = value as typeof which)}
		/>
		<span class="soft">{marked.length} of {rows.length} chosen</span>
	</div>
</div>
<ListTable
	label="Fields to sample"
	{rows}
	key={({ id }) => id}
	bind:selected={chosen}
	rowHeightPx={38}
	empty={data.fields.length === 0
		? 'No field is in the book yet: import a lab file, or add a field on the roster.'
		: 'No field is due: every sample is young enough for the year.'}
	columns={[
		{ name: 'Field', of: ({ name }) => name, cell: nameCell, share: 15 },
		{ name: 'Grower', of: ({ grower }) => grower, share: 16 },
		{ name: 'Area', of: ({ areaAc }) => areaAc, cell: areaCell, number: true, share: 7 },
		{ name: 'Crop and goal', of: ({ cropName }) => cropName, cell: cropCell, share: 14 },
		{ name: 'Sample', of: ({ sampledOn }) => sampledOn, cell: sampleCell, share: 10 },
		{ name: 'Why it is due', of: ({ due }) => due ?? '', share: 20 },
		{ name: 'Zones', of: ({ zones }) => zones || undefined, number: true, share: 6 },
		{ name: 'Bags on their way', of: ({ underWay }) => underWay || undefined, number: true, share: 9 }
	]}
/>

<style>
	.fields {
		grid-template-columns: 12rem 9rem 18rem 10rem;
		align-items: end;
		max-width: 56rem;
	}
	.row {
		align-items: center;
		gap: 0.5rem 1rem;
	}
	@media (max-width: 700px) {
		.fields {
			grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		}
		.fields > :global(:last-child) {
			grid-column: span 2;
		}
	}
</style>
