<!-- One mix for several fields: what is in a ton of it, and how much each field gets. -->
<script lang="ts">
	import type { CommonBlend } from '$core/supply/blend/common-blend';
	import { LB_PER_SHORT_TON } from '$core/units/factors';
	import { formatNumber, formatQuantity } from '$core/units/display';

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
	<table class="ledger">
		<thead
			><tr><th>Field</th><th class="num">Acres</th><th class="num">Mix, lb/ac</th><th>Over what it needs, lb/ac</th></tr
			></thead
		>
		<tbody>
			{#each mix.fields as { name, acres, rate, over } (name)}
				<tr>
					<td>{name}</td>
					<td class="num">{formatNumber(acres, 'ac')}</td>
					<td class="num">{pounds(rate)}</td>
					<td
						>{Object.entries(over)
							.map(([nutrient, extra]) => `${nutrient} ${pounds(extra ?? 0)}`)
							.join(', ') || 'nothing'}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
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
