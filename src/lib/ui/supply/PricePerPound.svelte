<!-- What a pound or kilogram of a nutrient costs from each product, credited for all else it carries. -->
<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import type { UnitSystem } from '$core/units/rate-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';

	interface Props {
		compared: readonly { nutrient: string; products: { name: string; price: Answer }[] }[];
		units: UnitSystem;
	}
	const { compared, units }: Props = $props();
	const weight = $derived(units === 'us' ? 'pound' : 'kilogram');
	let nutrient = $state('N');
	const shown = $derived(compared.find((one) => one.nutrient === nutrient)?.products ?? []);
</script>

<section class="section" aria-label={`Price of a ${weight}`}>
	<div class="head">
		<h2>Price of a {weight}</h2>
		<Select size="sm" inline labelText="of" bind:selected={nutrient}>
			{#each compared as { nutrient: one } (one)}<SelectItem value={one} text={one} />{/each}
		</Select>
	</div>
	<p class="soft small">Each product credited for the other nutrients in it at their prices.</p>
	<div class="prices">
		<ListTable
			label={`Price of a ${weight} by product`}
			rows={shown}
			key={({ name }) => name}
			empty={`No product with ${nutrient} has a price.`}
			columns={[
				{ name: 'Product', of: ({ name }) => name },
				{ name: `A ${weight} of ${nutrient}`, answer: ({ price }) => price }
			]}
		/>
	</div>
</section>

<style>
	.head {
		display: flex;
		align-items: center;
		gap: 0.6rem;
	}
	.head h2 {
		margin: 0;
		white-space: nowrap;
	}
	.prices {
		max-width: 40rem;
	}
</style>
