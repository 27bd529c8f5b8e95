<!-- From which source a field is irrigated in a year, how much by month, and what the water brings. -->
<script lang="ts">
	import {
		Button,
		Checkbox,
		Disclosure,
		InlineNotification,
		Select,
		SelectItem,
		TextInput
	} from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { GroundPage } from '$lib/server/pages/ground-page';
	import { monthName } from '$core/water/irrigation';
	import { save } from '../../forms/call';
	import ListTable from '../../tables/ListTable.svelte';
	import { readIrrigation, typedMonths } from './typed-irrigation';

	interface Props {
		fieldId: string;
		year: number;
		page: NonNullable<GroundPage['irrigation']>;
	}
	const { fieldId, year, page }: Props = $props();

	const MONTHS = Array.from({ length: 12 }, (_, at) => at + 1);
	const { booked, unit } = untrack(() => page);
	const seen = booked ?? null;
	let source = $state(booked?.source ?? untrack(() => page.sources[0]?.id ?? ''));
	let months = $state(typedMonths(booked, unit));
	let perWeek = $state(String(booked?.irrigationsPerWeek ?? ''));
	let sprinkled = $state(booked?.sprinkled ?? false);
	let problem = $state('');

	async function keep(): Promise<void> {
		const read = readIrrigation({ source, months, perWeek, sprinkled }, page.unit);
		if (typeof read === 'string') return void (problem = read);
		problem = await save(
			'PUT /api/fields/{field}/{year}/irrigation',
			{ field: fieldId, year },
			{ irrigation: read, seen }
		);
	}

	async function drop(): Promise<void> {
		problem = await save(
			'PUT /api/fields/{field}/{year}/irrigation',
			{ field: fieldId, year },
			{ irrigation: null, seen }
		);
		if (problem === '') months = {};
	}

	const perArea = $derived(page.unit === 'mm' ? 'kg/ha' : 'lb/ac');
	const NUTRIENTS = ['N', 'K2O', 'S', 'Mg', 'Ca', 'Cl'] as const;
	type Line = (typeof page.brought)[number];
</script>

<section class="section" aria-label="Irrigation">
	<h2>Irrigation of {year}</h2>
	{#if page.sources.length === 0}
		<p class="soft">
			No source of water is in the book yet. <a href="/water">Type in its report</a>, and what its water brings goes off
			the rates.
		</p>
	{:else}
		{#if page.brought.length > 0}
			<ListTable
				label="What the water brings"
				rows={page.brought}
				key={({ name }) => name}
				sortable={false}
				columns={[
					{ name: 'Month', of: ({ name }) => name },
					{ name: `Water, ${page.unit}`, of: ({ water }) => water, number: true },
					...NUTRIENTS.map((nutrient) => ({
						name: `${nutrient}, ${perArea}`,
						answer: ({ brought }: Line) => brought[nutrient]!,
						bare: true
					}))
				]}
			/>
			<p class="soft small">
				By the report of {page.source}. Its nitrate goes off nitrogen rates whose guide credits it, and into the season
				with each irrigation; its sulfate goes off sulfur rates likewise.
				<a href="/water">All numbers of this water</a>
			</p>
		{:else if booked}
			<p class="soft">Its source has no report yet: <a href="/water">type it in</a>.</p>
		{/if}
		<Disclosure align="start" open={!booked} summary={booked ? 'Change the irrigation' : 'Set the irrigation'}>
			<div class="fields">
				<Select size="sm" labelText="Source" bind:selected={source}>
					{#each page.sources as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<TextInput size="sm" labelText="Irrigations a week" placeholder="1" inputmode="decimal" bind:value={perWeek} />
				<Checkbox labelText="Sprinkled over the leaves" bind:checked={sprinkled} />
			</div>
			<div class="months">
				{#each MONTHS as month (month)}
					<TextInput
						size="sm"
						labelText={`${monthName(month)}, ${page.unit}`}
						inputmode="decimal"
						bind:value={() => months[month] ?? '', (text) => (months[month] = String(text ?? ''))}
					/>
				{/each}
			</div>
			{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
			<div class="row">
				<Button size="small" onclick={keep}>Save the irrigation</Button>
				{#if booked}<Button size="small" kind="ghost" onclick={drop}>Delete it</Button>{/if}
			</div>
		</Disclosure>
	{/if}
</section>

<style>
	.fields {
		align-items: end;
		margin: 0.6rem 0 0.9rem;
	}
	.months {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(5rem, 1fr));
		gap: 0.6rem;
		margin-bottom: 0.9rem;
	}
</style>
