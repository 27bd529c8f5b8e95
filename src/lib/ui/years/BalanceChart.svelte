<!-- The balances of one grower, or of the whole book, drawn over the years. -->
<script lang="ts">
	import type { Balanced } from '$core/season/plan/balance/nutrient-balance';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { balanceLines, balancesChart, namesDrawn, type YearOfBalances } from '../charts/balances';
	import Chart from '../charts/Chart.svelte';
	import { lineLook } from '../charts/outlook';
	import Choice from '../forms/Choice.svelte';

	interface Props {
		lines: readonly YearOfBalances[];
		nutrients: readonly Balanced[];
		units: UnitSystem;
	}
	const { lines, nutrients, units }: Props = $props();

	let wanted = $state<string>();
	const names = $derived(namesDrawn(lines));
	const name = $derived(names.find((one) => one === wanted) ?? names[0]);
	const unit = $derived(unitInSystem('lb/ac', units));
	const drawn = $derived(name === undefined ? [] : balanceLines(lines, name, nutrients, units));
	const said = $derived(
		drawn
			.map(({ nutrient, points }) => {
				const known = points.flatMap(({ year, value }) =>
					value === undefined ? [] : `${Math.round(value)} in ${year}`
				);
				return `${nutrient} ${known.join(', ')}`;
			})
			.join('; ')
	);
</script>

{#if name !== undefined}
	<figure>
		<figcaption class="row small">
			{#if names.length > 1}
				<Choice
					label="Grower of the chart"
					value={name}
					options={names.map((value) => ({ value, text: value }))}
					choose={(value) => (wanted = value)}
				/>
			{/if}
			<span>Balance of the year, {unit}, mean by acres:</span>
			{#each drawn as { nutrient }, at (nutrient)}
				{@const { color, type } = lineLook(at)}
				<span class="key" style:color><span class="dash" style:border-top-style={type}></span>{nutrient}</span>
			{/each}
		</figcaption>
		<Chart label={`Balance of ${name}, ${unit}: ${said}`} option={balancesChart(drawn, unit)} height="210px" />
	</figure>
{/if}

<style>
	figure {
		margin: 0 0 1rem;
		max-width: 60rem;
	}
	.row {
		align-items: center;
		gap: 0.4rem 1rem;
	}
	.key {
		font-weight: 600;
		white-space: nowrap;
	}
	.dash {
		display: inline-block;
		width: 1.6rem;
		margin-right: 0.35rem;
		vertical-align: middle;
		border-top-width: 3px;
	}
</style>
