<!-- What each approach would have advised for the year, beside what was applied and what it would have left. -->
<script lang="ts">
	import type { BookPage } from '$lib/server/pages/book-page';
	import { longDate } from '$core/units/day-text';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import Choice from '../forms/Choice.svelte';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		advised: NonNullable<BookPage['advised']>;
		year: number;
		units: UnitSystem;
	}
	const { advised, year, units }: Props = $props();
	type Row = Props['advised']['rows'][number];

	const unit = $derived(unitInSystem('lb/ac', units));
	const nutrients = $derived([...new Set(advised.rows.map(({ nutrient }) => nutrient))]);
	let wanted = $state<string>();
	const nutrient = $derived(nutrients.find((one) => one === wanted) ?? nutrients[0]);
	const rows = $derived(advised.rows.filter((row) => row.nutrient === nutrient));
</script>

{#snippet approachCell({ schoolName, name }: Row)}{schoolName} <span class="soft small">{name}</span>{/snippet}

{#if advised.sampledOn === undefined}
	<p class="soft">No sample from before the planting of {year} is in the book, so no approach can be asked.</p>
{:else if nutrient === undefined}
	<p class="soft">No approach gives a rate for a nutrient whose balance is known.</p>
{:else}
	<div class="row">
		<Choice
			label="Nutrient"
			value={nutrient}
			options={nutrients.map((value) => ({ value, text: value }))}
			choose={(value) => (wanted = value)}
		/>
		<span class="soft">
			On the sample of {longDate(advised.sampledOn)}, the goal of then and the prices at its end; the harvest as it
			came.
		</span>
	</div>
	<ListTable
		label={`${nutrient} as each approach would have advised`}
		{rows}
		key={({ method }) => method}
		columns={[
			{ name: 'Approach', of: ({ schoolName }) => schoolName, cell: approachCell, share: 49 },
			{ name: `Advised, ${unit}`, answer: (row: Row) => row.advised, bare: true, share: 15 },
			{ name: `Applied, ${unit}`, answer: (row: Row) => row.applied, bare: true, share: 15 },
			{ name: `Balance it would have left, ${unit}`, answer: (row: Row) => row.balance, bare: true, share: 21 }
		]}
	/>
{/if}

<style>
	.row {
		align-items: center;
		gap: 0.4rem 1rem;
		margin-bottom: 0.4rem;
	}
</style>
