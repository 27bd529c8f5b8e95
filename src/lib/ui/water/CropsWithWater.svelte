<!-- What every crop makes of a water; those that are grown with it stand first. -->
<script lang="ts">
	import type { Crop, WaterLimits, WaterRequest } from '$core/schema-types';
	import { cropsWithWater, type CropWithWater } from '$core/water/crops-with-water';
	import Severity from '../figure/Severity.svelte';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		request: Pick<WaterRequest, 'water' | 'ece' | 'sprinkled'>;
		crops: readonly Crop[];
		limits: WaterLimits;
		/** Crops that are grown with it this year. */
		grown: readonly string[];
	}
	const { request, crops, limits, grown }: Props = $props();

	const isGrown = ({ crop }: CropWithWater) => grown.includes(crop.id);
	const rows = $derived(cropsWithWater(request, crops, limits).sort((a, b) => Number(isGrown(b)) - Number(isGrown(a))));
</script>

{#snippet nameCell(row: CropWithWater)}
	{row.crop.name}
	{#if isGrown(row)}<div class="soft small">grown with it</div>{/if}
{/snippet}
{#snippet watchCell({ threshold, burns }: CropWithWater)}
	{#if !threshold.applies}<div class="small"><Severity severity="note" /> {threshold.remedy}</div>{/if}
	{#each burns as { severity, text }, at (at)}<div class="small"><Severity {severity} /> {text}</div>{/each}
{/snippet}

<section class="section" aria-label="Crops with this water">
	<h2>Crops with this water</h2>
	<p class="soft small">
		{request.ece === undefined
			? 'In the soil that this water makes: 1.5 times as salty as the water, where 15 to 20 % of it passes the roots.'
			: 'In the soil that is told.'}
	</p>
	<ListTable
		label="Crops with this water"
		{rows}
		key={({ crop }) => crop.id}
		columns={[
			{ name: 'Crop', of: ({ crop }) => crop.name, cell: nameCell },
			{ name: 'Stands salt to', answer: ({ threshold }) => (threshold.applies ? threshold : undefined) },
			{ name: 'To pass the roots', answer: ({ leaching, threshold }) => (threshold.applies ? leaching : undefined) },
			{ name: 'Yield', answer: (row) => (row.threshold.applies ? row.yield : undefined) },
			{ name: 'What to watch', cell: watchCell }
		]}
	/>
</section>
