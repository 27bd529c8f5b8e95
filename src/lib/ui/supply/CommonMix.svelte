<!-- One mix for several fields: what is in a ton of it, and how much each field gets. -->
<script lang="ts">
	import type { CommonBlend } from '$core/supply/blend/common-blend';
	import { LB_PER_SHORT_TON } from '$core/units/factors';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		mix: CommonBlend;
		nameOf: (product: string) => string;
	}
	const { mix, nameOf }: Props = $props();
	const total = $derived(mix.mix.uses.reduce((sum, { rate }) => sum + rate, 0));
	const pounds = (value: number) => formatNumber(Math.round(value * 10) / 10, 'lb/ac');
</script>

<div class="mix" role="region" aria-label="One mix for several fields">
	<h3>One mix, its rates by {mix.lead}: {formatQuantity(mix.cost, '$')} for all</h3>
	<p>
		In a ton: {mix.mix.uses
			.map(({ id, rate }) => `${pounds((rate / total) * LB_PER_SHORT_TON)} lb ${nameOf(id)}`)
			.join(', ')}.
	</p>
	<ListTable
		label="What each field gets"
		rows={mix.fields}
		key={({ name }) => name}
		columns={[
			{ name: 'Field', of: ({ name }) => name },
			{ name: 'Acres', of: ({ acres }) => formatNumber(acres, 'ac'), number: true },
			{ name: 'Mix, lb/ac', of: ({ rate }) => pounds(rate), number: true },
			{
				name: 'Over what it needs, lb/ac',
				of: ({ over }) =>
					Object.entries(over)
						.map(([nutrient, extra]) => `${nutrient} ${pounds(extra ?? 0)}`)
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
