<!-- What the plots of a nitrogen trial got beyond what the grain took off, against the nitrate found after harvest. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { NitrogenLeft } from '$core/trials/nitrogen/residual-nitrate';
	import { amountText } from '$core/units/amount-text';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { chanceText } from '$core/trials/analysis/verdict';
	import Quantity from '../figure/Quantity.svelte';
	import Chart from '../charts/Chart.svelte';
	import { scatterChart } from './scatter-chart';

	interface Props {
		left: NitrogenLeft;
		units: UnitSystem;
		/** Shows a plot on the map. */
		show: (plot: number) => void;
	}
	const { left, units, show }: Props = $props();
	const amount = $derived(amountText(units));
	const { plots, beyond, hottest, text } = $derived(left);

	const unit = $derived(unitInSystem('lb/ac', units));
	const shown = (pounds: number) => valueInSystem(pounds, 'lb/ac', units);
	const most = $derived(Math.max(...plots.map(({ balance }) => balance)));
	const line = $derived(
		beyond && beyond.slope > 0
			? ([
					[0, shown(beyond.intercept)],
					[shown(most), shown(beyond.intercept + beyond.slope * most)]
				] as const)
			: undefined
	);
	const option = $derived(
		scatterChart(
			plots.map(({ plot, balance, residual }) => ({
				x: shown(balance),
				y: shown(residual),
				label: hottest.some((one) => one.plot === plot) ? String(plot) : undefined
			})),
			{
				x: `N of the trial less N taken off by the grain, ${unit}`,
				y: `nitrate left, 0-24 in, ${unit}`,
				zero: 'both',
				labels: 'top',
				lines: line ? [line] : []
			}
		)
	);
</script>

<section aria-label="Nitrogen left">
	<h3>Nitrogen left in the ground</h3>
	<p>
		{text}
		{#if left.found && beyond}
			Of what goes on beyond what the grain takes off, <Quantity
				answer={left.found}
				text={`${Math.round(left.found.value)} %`}
			/> was found as nitrate ({chanceText(beyond.p)}).
		{/if}
		What else brought nitrogen to all plots is not counted.
	</p>
	<Chart {option} label={`Nitrate left in ${plots.length} plots against their balance. ${text}`} height="260px" />
	{#if hottest.length > 0}
		<p class="row">
			Hot spots:
			{#each hottest as { plot, rate, residual }, at (at)}
				<Button size="small" kind="ghost" onclick={() => show(plot)}
					>plot {plot}, {amount.ofArea(rate, 'N')}, {amount(residual, 'whole')} left</Button
				>
			{/each}
		</p>
	{/if}
</section>
