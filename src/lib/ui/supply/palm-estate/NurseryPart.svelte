<!-- The rounds of a palm nursery: when, how many cups for each seedling, how much for all. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { PalmEstate } from '$core/schema-types';

	import { isDay, longDate } from '$core/units/day-text';
	import { nurseryCalendar } from '$core/supply/palm-estate/nursery-calendar';
	import Quantity from '../../figure/Quantity.svelte';
	import Severity from '../../figure/Severity.svelte';
	import DayField from '../../forms/days/DayField.svelte';
	import { numberOrUndefined } from '../../forms/numbers';
	import ListTable from '../../tables/ListTable.svelte';

	interface Props {
		estate: Pick<PalmEstate, 'nursery' | 'mulches'>;
		product: string;
		today: string;
	}
	const { estate, product, today }: Props = $props();

	let plantedOn = $state(untrack(() => today));
	let seedlings = $state('12000');
	let cup = $state('5');
	let mulch = $state('shell');

	const count = $derived(numberOrUndefined(seedlings) ?? 0);
	const cupG = $derived(numberOrUndefined(cup) ?? 0);
	const wrong = $derived(
		!isDay(plantedOn)
			? `The day of planting “${plantedOn}” must be a day such as 2027-01-04.`
			: count <= 0
				? `The number of seedlings “${seedlings}” must be above 0.`
				: cupG <= 0
					? `What a level cup holds, “${cup}”, must be grams above 0.`
					: ''
	);
	const rounds = $derived(wrong ? [] : nurseryCalendar(estate.nursery, plantedOn, count, cupG));
	const uneven = $derived(rounds.filter(({ whole }) => !whole));
	const next = $derived(rounds.find(({ date }) => date >= today));
	const chosen = $derived(estate.mulches.find(({ id }) => id === mulch));
</script>

<section aria-label="Nursery">
	<h2>Nursery</h2>
	<p class="soft">
		Small doses of {product}, often, in level cups: in a ring, never touching the seedling, on moist soil. The doses are
		an example of the trade; go by the colour and growth of your seedlings.
	</p>
	<div class="fields">
		<DayField label="Planted into bags on" bind:date={plantedOn} />
		<TextInput size="sm" labelText="Seedlings" inputmode="decimal" bind:value={seedlings} />
		<TextInput size="sm" labelText="A level cup holds, g" inputmode="decimal" bind:value={cup} />
		<Select size="sm" labelText="Mulch in the bags" bind:selected={mulch}>
			{#each estate.mulches as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
	</div>
	{#if chosen}
		<p role="status">
			{#if chosen.severity}<Severity severity={chosen.severity} />{/if}
			{chosen.says}
		</p>
	{/if}
	{#if wrong}
		<p class="problem" role="alert">{wrong}</p>
	{:else}
		{#if uneven.length > 0}
			<p>
				<Severity severity="mind" /> A cup of {cup} g does not measure {[
					...new Set(uneven.map(({ grams }) => `${grams} g`))
				].join(', ')} in whole cups: take a smaller one, and weigh ten cups of this product to know what it holds.
			</p>
		{/if}
		{#if next}<p>
				Next round: <strong>{longDate(next.date)}</strong>, level cups for each: <Quantity answer={next.cups} bare />.
			</p>{/if}
		<ListTable
			label="Rounds of the nursery"
			rows={rounds}
			sortable={false}
			key={({ week }) => String(week)}
			columns={[
				{ name: 'Day', of: ({ date }) => longDate(date) },
				{ name: 'Week', of: ({ week }) => week, number: true },
				{ name: 'For each, g', of: ({ grams }) => grams, number: true },
				{ name: 'Cups', answer: ({ cups }) => cups, bare: true },
				{ name: 'For all', answer: ({ kg }) => kg }
			]}
		/>
	{/if}
</section>

<style>
	.fields {
		margin: 0.6rem 0 0.9rem;
	}
</style>
