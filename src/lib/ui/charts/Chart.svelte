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
	}
	const { option, label, height = '240px', onCanvas = false, live }: Props = $props();
	let element = $state<HTMLDivElement>();
	let chart = $state.raw<EChartsType>();

	$effect(() => {
		const target = element;
		if (!target) return;
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

<div bind:this={element} style:height role="img" aria-label={label}></div>

<style>
	div {
		width: 100%;
		/* What is drawn anew inside must not lay out the page again. */
		contain: strict;
	}
</style>
