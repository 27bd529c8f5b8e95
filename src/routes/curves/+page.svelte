<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { page } from '$app/state';
	import { scaledCurve } from '$core/rates/nitrogen/response/shapes/scaled-curve';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, valueInSystem } from '$core/units/rate-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import Chart from '$lib/ui/charts/Chart.svelte';
	import { scaleIn, trialChart } from '$lib/ui/charts/trial';
	import { cropWords, curveText } from '$lib/ui/rates/curves/curve-text';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import { remove } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Curve = PageData['curves'][number];
	let problem = $state('');
	const unit = $derived(unitInSystem('lb/ac', data.units));
	const rate = (lbAc: number) => formatNumber(valueInSystem(lbAc, 'lb/ac', data.units), unit);
	const text = (one: Curve) => curveText(scaledCurve(one.curve, scaleIn(data.units, one.yieldUnit)));

	const shown = $derived(data.curves.find(({ id }) => id === page.url.searchParams.get('curve')) ?? data.curves[0]);

	async function removeCurve(id: string): Promise<void> {
		problem = await remove('DELETE /api/curves/{curve}', { curve: id });
	}
</script>

{#snippet titleCell({ id, title }: Curve)}
	<a href={`/curves?curve=${id}`} data-sveltekit-noscroll>{title}</a>
{/snippet}
{#snippet testedCell({ lowestRate, highestRate }: Curve)}
	{rate(lowestRate)} to {rate(highestRate)}
{/snippet}
{#snippet bestCell({ best, interval }: Curve)}
	{#if best.applies}<strong><Quantity answer={best} bare /></strong>{#if interval && 'low' in interval}
			<div class="small soft">
				{rate(interval.low)} to {rate(interval.high)}
			</div>{/if}{:else}<span class="soft small">{best.reason}</span>{/if}
{/snippet}
{#snippet sourceCell({ simulated, source }: Curve)}
	<span class="small"
		>{#if simulated}<strong class="mark">Simulated.</strong>{/if}
		{source}</span
	>
{/snippet}
{#snippet deleteCell({ id }: Curve)}
	<button type="button" class="plain" onclick={() => removeCurve(id)}>Delete</button>
{/snippet}

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
		<ListTable
			label="Curves"
			rows={data.curves}
			key={({ id }) => id}
			rowClass={(curve) => (curve === shown ? 'shown' : '')}
			columns={[
				{ name: 'Curve', of: ({ title }) => title, cell: titleCell },
				{ name: 'Crop', of: ({ cropName }) => cropName },
				{ name: 'After', of: ({ previousCrops }) => previousCrops?.map(cropWords).join(', ') ?? 'any crop' },
				{ name: 'Soils', of: ({ textureClasses }) => textureClasses?.join(', ') ?? 'any soil' },
				{ name: `Tested, ${unit}`, of: ({ highestRate }) => highestRate, cell: testedCell, number: true },
				{
					name: `Economic optimum now, ${unit}`,
					of: ({ best }) => (best.applies ? best.value : undefined),
					cell: bestCell,
					number: true
				},
				{ name: 'Source', of: ({ source }) => source, cell: sourceCell },
				{ name: '', cell: deleteCell }
			]}
		/>
		{#if shown}
			<section class="section chart">
				<h2>{shown.title}</h2>
				<p class="small">
					{text(shown)}
					{#if shown.interval}
						<span class="soft">
							{'stale' in shown.interval
								? shown.interval.stale
								: 'The range is the 90 % interval of the economic optimum by resampling, at today’s prices.'}
						</span>
					{/if}
				</p>
				<Chart
					option={trialChart(
						shown.observations ?? [],
						[shown.curve],
						shown.lowestRate,
						shown.highestRate,
						shown.yieldUnit,
						data.units
					)}
					height="300px"
					label={`Yield against nitrogen: ${shown.title}. ${text(shown)}`}
				/>
				{#if shown.observations}
					<p><a href={`/curves/fit?from=${shown.id}`}>Fit its {shown.observations.length} plots again</a></p>
				{/if}
			</section>
		{/if}
	{/if}
</div>

<style>
	.chart {
		max-width: 46rem;
	}
	.mark {
		color: var(--accent-ink);
	}
</style>
