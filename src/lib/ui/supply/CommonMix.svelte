<!-- One mix for several fields: what is in a ton of it, and how much each field gets. -->
<script lang="ts">
	import type { CommonBlend } from '$core/supply/blend/common-blend';
	import { quantityIn } from '$core/units/amount-text';
	import { KG_PER_T, LB_PER_SHORT_TON } from '$core/units/factors';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		mix: CommonBlend;
		nameOf: (product: string) => string;
		units: UnitSystem;
	}
	const { mix, nameOf, units }: Props = $props();
	const [perArea, mass] = $derived([unitInSystem('lb/ac', units), unitInSystem('lb', units)]);
	/** A short ton in pounds, or a tonne in kilograms. */
	const ton = $derived(units === 'us' ? LB_PER_SHORT_TON : KG_PER_T);
	const total = $derived(mix.mix.uses.reduce((sum, { rate }) => sum + rate, 0));
	const tenths = (value: number) => formatNumber(Math.round(value * 10) / 10, perArea);
	const rateText = (lbAc: number) => tenths(valueInSystem(lbAc, 'lb/ac', units));
</script>

<div class="mix" role="region" aria-label="One mix for several fields">
	<h3>One mix, its rates by {mix.lead}: {formatQuantity(mix.cost, '$')} for all</h3>
	<p>
		In a ton: {mix.mix.uses.map(({ id, rate }) => `${tenths((rate / total) * ton)} ${mass} ${nameOf(id)}`).join(', ')}.
	</p>
	<ListTable
		label="What each field gets"
		rows={mix.fields}
		key={({ name }) => name}
		columns={[
			{ name: 'Field', of: ({ name }) => name },
			{ name: 'Area', of: ({ acres }) => quantityIn(units, acres, 'ac'), number: true },
			{ name: `Mix, ${perArea}`, of: ({ rate }) => rateText(rate), number: true },
			{
				name: `Over what it needs, ${perArea}`,
				of: ({ over }) =>
					Object.entries(over)
						.map(([nutrient, extra]) => `${nutrient} ${rateText(extra ?? 0)}`)
						.join(', ') || 'nothing'
			}
		]}
	/>
</div>

<style>
	.mix {
		margin: 1rem 0;
		padding: 0.8rem 1rem;
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		max-width: 56rem;
	}
</style>
