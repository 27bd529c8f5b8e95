<!-- Trials of nitrogen rates laid over each other, each from its own optimum; and whether yield without nitrogen tells the response. -->
<script lang="ts">
	import type { NitrogenSite } from '$core/trials/nitrogen/nitrogen-site';
	import { withoutAgainstResponse } from '$core/trials/nitrogen/without-against-response';
	import { inSystem, unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import Chart from '../charts/Chart.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import ListTable from '../tables/ListTable.svelte';
	import { scatterChart } from './scatter-chart';

	interface Props {
		/** Empty where it is not known. */
		crop: string;
		sites: readonly NitrogenSite[];
		units: UnitSystem;
	}
	const { crop, sites, units }: Props = $props();

	const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
	const letter = (at: number) => LETTERS[at] ?? String(at + 1);
	const of = $derived(crop ? ` in ${crop.toLowerCase()}` : '');
	const rateUnit = $derived(unitInSystem('lb/ac', units));
	const unit = $derived(sites[0]!.yieldAtOptimum.unit);
	const answered = $derived(withoutAgainstResponse(sites));
	const overlaid = $derived(
		scatterChart(
			sites.flatMap(({ points }, kind) =>
				points.map(([from, y], at) => ({
					x: valueInSystem(from, 'lb/ac', units),
					y,
					kind,
					label: at === 0 ? letter(kind) : undefined
				}))
			),
			{ x: `N less the optimum of the site, ${rateUnit}`, y: `yield over that at it, ${unit}`, zero: 'both' }
		)
	);
	const related = $derived(
		scatterChart(
			answered.points.map(({ site, without, response }) => ({
				x: without,
				y: response,
				label: letter(sites.findIndex((one) => one.site === site))
			})),
			{ x: `yield without nitrogen, ${unit}`, y: `response, ${unit}` }
		)
	);
</script>

<section class="section" aria-label={`Nitrogen from each site’s optimum${of}`}>
	<h2>Nitrogen{of}, each site from its own optimum</h2>
	<p class="soft">
		Fields differ in what they want. Laid over each other at their optimum, they show what too little does, and what too
		much.
	</p>
	<ListTable
		label="Optimum of each site"
		rows={sites.map((one, at) => ({ ...one, letter: letter(at) }))}
		key={({ site }) => site}
		columns={[
			{ name: '', of: (row) => row.letter },
			{ name: 'Site', of: ({ site }) => site },
			{ name: `Optimum N, ${rateUnit}`, answer: ({ optimum }) => inSystem(optimum, units), bare: true },
			{ name: `Yield at it, ${unit}`, answer: ({ yieldAtOptimum }) => yieldAtOptimum, bare: true },
			{ name: `Without N, ${unit}`, answer: ({ without }) => without, bare: true },
			{ name: `Response, ${unit}`, answer: ({ response }) => response, bare: true }
		]}
	/>
	<div class="charts">
		<figure>
			<figcaption class="small soft">Each mean by how far its rate is from the optimum of its site</figcaption>
			<Chart
				option={overlaid}
				label={`Means of ${sites.length} sites by how far each rate is from the optimum`}
				height="300px"
			/>
		</figure>
		{#if answered.points.length > 1}
			<figure>
				<figcaption class="small soft">Does yield without nitrogen tell the response?</figcaption>
				<Chart option={related} label={`Response against yield without nitrogen. ${answered.text}`} height="300px" />
			</figure>
		{/if}
	</div>
	{#if sites.length > 1}
		<p>
			{answered.text}{#if answered.r}
				The r is <Quantity answer={answered.r} text={answered.r.value.toFixed(2)} />.{/if}
		</p>
	{/if}
</section>

<style>
	.charts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
		gap: 1.5rem;
		margin-top: 0.8rem;
	}
	figure {
		margin: 0;
	}
</style>
