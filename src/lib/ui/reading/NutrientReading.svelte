<!-- One nutrient on its response curve, with one sentence. -->
<script lang="ts">
	import type { ReadingPage } from '$lib/server/pages/reading-page';
	import Chart from '../charts/Chart.svelte';
	import { responseCurve } from '../charts/response-curve';
	import Quantity from '../figure/Quantity.svelte';

	interface Props {
		nutrient: NonNullable<ReadingPage['reading']>['nutrients'][number];
		cropName: string;
	}
	const { nutrient, cropName }: Props = $props();
	const COLOURS = { P: '#b2521a', K: '#1f7391' };
	const NAMES = { P: 'Phosphorus', K: 'Potassium' };

	/** A soil test is no finer than this share of the critical level. */
	const BAND = 0.1;

	/** Where the soil stands to the critical level, and what the crop will make of it. */
	const verdict = $derived.by(() => {
		const { soilTest, criticalLevel } = nutrient;
		if (!soilTest || !criticalLevel) return { stands: '', crop: '' };
		const gap = soilTest.value / criticalLevel.value - 1;
		const name = cropName.toLowerCase();
		if (gap < -BAND) return { stands: 'Short of', crop: `${name} will answer` };
		if (gap <= BAND) return { stands: 'At', crop: 'an answer is a coin toss' };
		return { stands: 'Above', crop: `${name} will seldom answer this year` };
	});
</script>

<div>
	<h2>
		{NAMES[nutrient.analyte]}
		{#if nutrient.test.applies}<Quantity answer={nutrient.test} />{/if}
	</h2>
	{#if nutrient.here.applies && nutrient.soilTest && nutrient.criticalLevel}
		<Chart
			label={`${NAMES[nutrient.analyte]}: yield against soil test. ${verdict.stands} the critical level: ${verdict.crop}.`}
			option={responseCurve({
				points: nutrient.points,
				soilTest: nutrient.soilTest.value,
				yieldHere: nutrient.here.value,
				critical: nutrient.criticalLevel.value,
				color: COLOURS[nutrient.analyte],
				unit: `${nutrient.soilTest.label}, ppm`
			})}
			height="220px"
		/>
		<p>
			{verdict.stands} the critical level of <Quantity answer={nutrient.criticalLevel} />: {verdict.crop}. Expected
			yield without more: <Quantity answer={nutrient.here} /> of full.
		</p>
	{:else if !nutrient.here.applies}
		<p>No response curve applies, because {nutrient.here.reason}. {nutrient.here.remedy}</p>
	{/if}
</div>
