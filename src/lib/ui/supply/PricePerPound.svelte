<!-- What a pound of a nutrient costs from each product, credited for all else it carries. -->
<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import Quantity from '../figure/Quantity.svelte';

	const { compared }: { compared: readonly { nutrient: string; products: { name: string; price: Answer }[] }[] } =
		$props();
	let nutrient = $state('N');
	const shown = $derived(compared.find((one) => one.nutrient === nutrient)?.products ?? []);
</script>

<section class="section" aria-label="Price of a pound">
	<div class="head">
		<h2>Price of a pound</h2>
		<Select size="sm" inline labelText="of" bind:selected={nutrient}>
			{#each compared as { nutrient: one } (one)}<SelectItem value={one} text={one} />{/each}
		</Select>
	</div>
	<p class="soft small">Each product credited for the other nutrients in it at their prices below.</p>
	{#if shown.length === 0}<p class="soft">No product with {nutrient} has a price.</p>{/if}
	<table class="ledger">
		<tbody>
			{#each shown as { name, price } (name)}
				<tr><td>{name}</td><td class="num"><Quantity answer={price} /></td></tr>
			{/each}
		</tbody>
	</table>
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
	table {
		max-width: 40rem;
	}
</style>
