<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { page } from '$app/state';
	import { formatNumber } from '$core/units/display';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import Chart from '$lib/ui/charts/Chart.svelte';
	import { trialChart } from '$lib/ui/charts/trial';
	import { cropWords, curveText } from '$lib/ui/rates/curves/curve-text';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import { remove } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Curve = PageData['curves'][number];
	let problem = $state('');

	const shown = $derived(data.curves.find(({ id }) => id === page.url.searchParams.get('curve')) ?? data.curves[0]);

	async function removeCurve(id: string): Promise<void> {
		problem = await remove('DELETE /api/curves/{curve}', { curve: id });
	}
</script>

{#snippet titleCell({ id, title }: Curve)}
	<a href={`/curves?curve=${id}`} data-sveltekit-noscroll>{title}</a>
{/snippet}
{#snippet testedCell({ lowestRate, highestRate }: Curve)}
	{formatNumber(lowestRate, 'lb/ac')} to {formatNumber(highestRate, 'lb/ac')}
{/snippet}
{#snippet bestCell({ best, interval }: Curve)}
	{#if best.applies}<strong><Quantity answer={best} bare /></strong>{#if interval && 'low' in interval}
			<div class="small soft">
				{formatNumber(interval.low, 'lb/ac')} to {formatNumber(interval.high, 'lb/ac')}
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
				{ name: 'Tested, lb/ac', of: ({ highestRate }) => highestRate, cell: testedCell, number: true },
				{
					name: 'Economic optimum now, lb/ac',
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
					{curveText(shown.curve)}
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
	.chart {
		max-width: 46rem;
	}
	.mark {
		color: var(--accent-ink);
	}
</style>
