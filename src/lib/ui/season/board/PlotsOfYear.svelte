<!--
	The plots of the board: weather, and nitrogen under it. They are drawn by the server as the page opens; what draws them here is loaded once
	something of them moves.
-->
<script lang="ts">
	import { untrack } from 'svelte';
	import type { BoardYear } from '$core/season/live/live-season';
	import type { RunAnswer } from '$core/season/model/run-season';
	import type { UnitSystem } from '$core/units/rate-units';
	import Chart from '../../charts/Chart.svelte';
	import { nitrogenBase, nitrogenLive, PLOT, weatherChart } from '../../charts/board/board';
	import type { DrawnPlots } from '../../charts/board/drawn-plots';

	interface Props {
		/** Where the server draws them, but for their width. */
		address: string;
		year: BoardYear;
		run: RunAnswer | undefined;
		units: UnitSystem;
		/** The plot of nitrogen in a sentence. */
		label: string;
	}
	const { address, year, run, units, label }: Props = $props();

	let width = $state(0);
	let drawn = $state.raw<DrawnPlots>();
	let still = $state(true);
	let asked = false;

	const weather = $derived(weatherChart(year, units));
	const base = $derived(run && nitrogenBase(year, run.unit));
	const moving = $derived(run && nitrogenLive(year, run));

	$effect(() => {
		// Another of these is no longer what was drawn.
		void [weather, base, moving];
		const wide = width;
		if (wide === 0) return;
		untrack(() => {
			if (asked) still = false;
			else void ask(wide);
		});
	});

	async function ask(wide: number): Promise<void> {
		asked = true;
		const answer = await fetch(`${address}&width=${wide}`).catch(() => undefined);
		if (answer?.ok) drawn = (await answer.json()) as DrawnPlots;
		else still = false;
	}
</script>

<div class="plots" bind:clientWidth={width}>
	<Chart
		option={weather}
		onCanvas
		{still}
		drawn={drawn?.weather}
		height={`${PLOT.weatherHeight}px`}
		label="Soil temperature and rain over the season."
	/>
	{#if base}
		<Chart
			option={base}
			live={moving}
			onCanvas
			{still}
			drawn={drawn?.nitrogen}
			height={`${PLOT.nitrogenHeight}px`}
			{label}
		/>
	{/if}
</div>

<style>
	.plots {
		position: absolute;
		top: 0;
		left: 0;
		right: 0;
	}
</style>
