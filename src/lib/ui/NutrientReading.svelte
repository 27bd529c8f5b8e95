<!-- One nutrient on its response curve, with one sentence. -->
<script lang="ts">
	import { formatNumber } from '$core/units/display';
	import type { PageData } from '../../routes/field/[field]/[year]/reading/$types';
	import Chart from './charts/Chart.svelte';
	import { responseCurve } from './charts/response-curve';
	import Quantity from './Quantity.svelte';

	interface Props {
		nutrient: NonNullable<PageData['reading']>['nutrients'][number];
		cropName: string;
	}
	const { nutrient, cropName }: Props = $props();
	const COLOURS = { P: '#b2521a', K: '#1f7391' };
	const NAMES = { P: 'Phosphorus', K: 'Potassium' };

	const sentence = $derived.by(() => {
		const { soilTest, criticalLevel } = nutrient;
		if (!soilTest || !criticalLevel) return '';
		const gap = soilTest.value - criticalLevel.value;
		const critical = formatNumber(criticalLevel.value, 'ppm');
		if (gap < -0.1 * criticalLevel.value)
			return `Short of the critical level of ${critical} ppm: ${cropName.toLowerCase()} will answer.`;
		if (gap <= 0.1 * criticalLevel.value) return `At the critical level of ${critical} ppm: an answer is a coin toss.`;
		return `Above the critical level of ${critical} ppm: ${cropName.toLowerCase()} will seldom answer this year.`;
	});
</script>

<div>
	<h2>
		{NAMES[nutrient.analyte]}
		{#if nutrient.test.applies}<Quantity answer={nutrient.test} />{/if}
	</h2>
	{#if nutrient.here.applies && nutrient.soilTest && nutrient.criticalLevel}
		<Chart
			label={`${NAMES[nutrient.analyte]}: yield against soil test. ${sentence}`}
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
		<p>{sentence} Expected yield without more: <Quantity answer={nutrient.here} /> of full.</p>
	{:else if !nutrient.here.applies}
		<p>No response curve applies, because {nutrient.here.reason}. {nutrient.here.remedy}</p>
	{/if}
</div>
