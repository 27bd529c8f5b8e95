<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { page } from '$app/state';
	import { formatNumber } from '$core/units/display';
	import Chart from '$lib/ui/charts/Chart.svelte';
	import { trialChart } from '$lib/ui/charts/trial';
	import { cropWords, curveText } from '$lib/ui/rates/curves/curve-text';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import { remove } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let problem = $state('');

	const shown = $derived(data.curves.find(({ id }) => id === page.url.searchParams.get('curve')) ?? data.curves[0]);

	async function removeCurve(id: string): Promise<void> {
		problem = await remove('DELETE /api/curves/{curve}', { curve: id });
	}
</script>

<div class="page">
	<h1>Response curves</h1>
	<p class="soft">
		Yield against nitrogen from your own trials, by crop, soil and rotation. Those that speak for a field stand under
		Rates as the economic optimum.
	</p>
	<p><Button size="small" href="/curves/fit">Fit a trial, or type a curve in</Button></p>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if data.curves.length === 0}
		<div class="empty">
			<h2>No curve yet</h2>
			<p>
				Paste the rates and yields of a trial with several rates of nitrogen. The program fits four shapes, says how
				sure the best rate is, or that the trial cannot tell.
			</p>
		</div>
	{:else}
		<table class="ledger">
			<thead>
				<tr>
					<th>Curve</th>
					<th>Crop</th>
					<th>After</th>
					<th>Soils</th>
					<th class="num">Tested, lb/ac</th>
					<th class="num">Economic optimum now, lb/ac</th>
					<th>Source</th>
					<th></th>
				</tr>
			</thead>
			<tbody>
				{#each data.curves as curve (curve.id)}
					<tr class:shown={curve === shown}>
						<td><a href={`/curves?curve=${curve.id}`} data-sveltekit-noscroll>{curve.title}</a></td>
						<td>{curve.cropName}</td>
						<td>{curve.previousCrops?.map(cropWords).join(', ') ?? 'any crop'}</td>
						<td>{curve.textureClasses?.join(', ') ?? 'any soil'}</td>
						<td class="num">{formatNumber(curve.lowestRate, 'lb/ac')} to {formatNumber(curve.highestRate, 'lb/ac')}</td>
						<td class="num">
							{#if curve.best.applies}<strong><Quantity answer={curve.best} bare /></strong>{#if curve.eonrInterval}
									<div class="small soft">
										{formatNumber(curve.eonrInterval.low, 'lb/ac')} to {formatNumber(curve.eonrInterval.high, 'lb/ac')}
									</div>{/if}{:else}<span class="soft small">{curve.best.reason}</span>{/if}
						</td>
						<td class="small">
							{#if curve.simulated}<strong class="mark">Simulated.</strong>{/if}
							{curve.source}
						</td>
						<td><button type="button" class="plain" onclick={() => removeCurve(curve.id)}>Delete</button></td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if shown}
			<section class="section chart">
				<h2>{shown.title}</h2>
				<p class="small">
					{curveText(shown.curve)}
					{#if shown.eonrInterval}
						<span class="soft">
							90 % interval of the rate of the economic optimum by resampling, at a price ratio of {formatNumber(
								shown.eonrInterval.priceRatio,
								''
							)}.
						</span>
					{/if}
				</p>
				<Chart
					option={trialChart(
						shown.observations ?? [],
						[shown.curve],
						shown.lowestRate,
						shown.highestRate,
						shown.yieldUnit
					)}
					height="300px"
					label={`Yield against nitrogen: ${shown.title}. ${curveText(shown.curve)}`}
				/>
				{#if shown.observations}
					<p><a href={`/curves/fit?from=${shown.id}`}>Fit its {shown.observations.length} plots again</a></p>
				{/if}
			</section>
		{/if}
	{/if}
</div>

<style>
	.shown td {
		background: var(--action-wash);
	}
	.chart {
		max-width: 46rem;
	}
	.mark {
		color: var(--accent-ink);
	}
	.problem {
		color: var(--stop);
	}
</style>
