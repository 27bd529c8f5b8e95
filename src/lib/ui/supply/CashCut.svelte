<!-- Cutting a product of a perennial's plan for cash flow: both plans side by side, what it saves and what it leaves unreplaced. -->
<script lang="ts">
	import { Disclosure, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { cashCut, type CutLine, type CutNutrient } from '$core/supply/cash-cut';
	import { inSystem, unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import Quantity from '../figure/Quantity.svelte';
	import { numberOrUndefined } from '../forms/numbers';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		lines: readonly (CutLine & { name: string })[];
		removed: Parameters<typeof cashCut>[1];
		units: UnitSystem;
	}
	const { lines, removed, units }: Props = $props();

	let product = $state('');
	let percent = $state('50');
	const share = $derived((numberOrUndefined(percent) ?? NaN) / 100);
	const wrong = $derived(
		share >= 0 && share <= 1 ? '' : `What is left out, “${percent}”, must be a percentage from 0 to 100.`
	);
	const result = $derived(wrong ? undefined : cashCut(lines, removed, product === '' ? undefined : product, share));
	const unit = $derived(unitInSystem('lb/ac', units));
	const column = (name: string, of: 'removed' | 'plan' | 'cut' | 'unreplaced') => ({
		name: `${name}, ${unit}`,
		answer: (row: CutNutrient) => inSystem(row[of], units),
		bare: true
	});
</script>

<Disclosure align="start" summary="Cutting back when prices are high">
	<div class="choose">
		<Select size="sm" labelText="Leave out of" bind:selected={product}>
			<SelectItem value="" text="all products alike" />
			{#each lines as { product: id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<TextInput size="sm" labelText="Left out, %" inputmode="decimal" bind:value={percent} />
	</div>
	{#if result}
		<ListTable
			label="The plan and the cut beside it"
			rows={result.nutrients}
			key={({ nutrient }) => nutrient}
			sortable={false}
			columns={[
				{ name: 'Nutrient', of: ({ nutrient }) => nutrient },
				column('Removed by the expected crop', 'removed'),
				column('The plan brings', 'plan'),
				column('After the cut', 'cut'),
				column('Unreplaced', 'unreplaced')
			]}
		/>
		<p>
			{#if result.saved.applies}Saves <strong><Quantity answer={inSystem(result.saved, units)} /></strong>.{:else}What
				it saves is not known, because {result.saved.reason}. {result.saved.remedy}{/if}
			<span class="soft"
				>A price is no reason to unbalance a crop whose yield is years in the making; cash flow may be. What is not
				replaced now, the ground gives, and it is owed.</span
			>
		</p>
	{:else}
		<p class="problem" role="alert">{wrong}</p>
	{/if}
</Disclosure>

<style>
	.choose {
		display: flex;
		flex-wrap: wrap;
		gap: 1rem;
		max-width: 32rem;
		margin: 0.4rem 0 0.6rem;
	}
</style>
