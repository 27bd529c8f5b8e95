<!-- An ECharts chart that is loaded only where it is shown. -->
<script lang="ts">
	import type { EChartsCoreOption, EChartsType } from 'echarts/core';
	import { untrack } from 'svelte';

	interface Props {
		option: EChartsCoreOption;
		/** The chart in a sentence, for those who do not see it. */
		label: string;
		height?: string;
		/** Drawn anew many times a second, or beside such a one: on a canvas, which lays nothing out. */
		onCanvas?: boolean;
		/** What moves, merged into the option: series are told apart by their id. */
		live?: EChartsCoreOption;
		/** An SVG of it by the server, shown until the chart itself is there. */
		drawn?: string;
		/** The chart itself is not loaded yet: what was drawn is enough, or on its way. */
		still?: boolean;
	}
	const { option, label, height = '240px', onCanvas = false, live, drawn, still = false }: Props = $props();
	let element = $state<HTMLDivElement>();
	let chart = $state.raw<EChartsType>();

	$effect(() => {
		const target = element;
		if (!target || still) return;
		let gone = false;
		let made: EChartsType | undefined;
		const resizing = new ResizeObserver(() => made?.resize());
		// Each renderer is loaded only by the pages that draw with it.
		void (onCanvas ? import('./on-canvas') : import('./as-drawing')).then(({ init }) => {
			if (gone) return;
			made = init(target, undefined, { renderer: onCanvas ? 'canvas' : 'svg' });
			resizing.observe(target);
			chart = made;
		});
		return () => {
			gone = true;
			resizing.disconnect();
			made?.dispose();
			chart = undefined;
		};
	});

	$effect(() => {
		chart?.setOption(option, true);
		untrack(() => live && chart?.setOption(live));
	});
	$effect(() => {
		if (live) chart?.setOption(live);
	});
</script>

<div class="chart" style:height role="img" aria-label={label}>
	<div class="live" bind:this={element}></div>
	{#if drawn && !chart}
		<!-- Nothing that anybody typed is in it: names of axes, numbers, paths. -->
		<!-- eslint-disable-next-line svelte/no-at-html-tags -->
		{@html drawn}
	{/if}
</div>

<style>
	.chart {
		position: relative;
		width: 100%;
		/* What is drawn anew inside must not lay out the page again. */
		contain: strict;
	}
	.live {
		position: absolute;
		inset: 0;
	}
</style>
