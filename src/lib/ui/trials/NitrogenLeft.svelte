<!-- What the plots of a nitrogen trial got beyond what the grain took off, against the nitrate found after harvest. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { NitrogenLeft } from '$core/trials/nitrogen/residual-nitrate';
	import Chart from '../charts/Chart.svelte';
	import { scatterChart } from './scatter-chart';

	interface Props {
		left: NitrogenLeft;
		/** Shows a plot on the map. */
		show: (plot: number) => void;
	}
	const { left, show }: Props = $props();
	const { plots, beyond, hottest, text } = $derived(left);

	const most = $derived(Math.max(...plots.map(({ balance }) => balance)));
	const line = $derived(
		beyond && beyond.slope > 0
			? ([
					[0, beyond.intercept],
					[most, beyond.intercept + beyond.slope * most]
				] as const)
			: undefined
	);
	const option = $derived(
		scatterChart(
			plots.map(({ plot, balance, residual }) => ({
				x: balance,
				y: residual,
				label: hottest.some((one) => one.plot === plot) ? String(plot) : undefined
			})),
			{
				x: 'N of the trial less N taken off by the grain, lb/ac',
				y: 'nitrate left, 0-24 in, lb/ac',
				zero: 'both',
				labels: 'top',
				lines: line ? [line] : []
			}
		)
	);
</script>

<section aria-label="Nitrogen left">
	<h3>Nitrogen left in the ground</h3>
	<p>{text} What else brought nitrogen to all plots is not counted.</p>
	<Chart {option} label={`Nitrate left in ${plots.length} plots against their balance. ${text}`} height="260px" />
	{#if hottest.length > 0}
		<p class="row">
			Hot spots:
			{#each hottest as { plot, rate, residual } (plot)}
				<Button size="small" kind="ghost" onclick={() => show(plot)}
					>plot {plot}, {rate} lb N/ac, {Math.round(residual)} lb/ac left</Button
				>
			{/each}
		</p>
	{/if}
</section>
