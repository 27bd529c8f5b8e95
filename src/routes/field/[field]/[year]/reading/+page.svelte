<script lang="ts">
	import { Disclosure } from 'carbon-components-svelte';
	import { formatNumber } from '$core/units/display';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import Chart from '$lib/ui/charts/Chart.svelte';
	import { phStrip } from '$lib/ui/charts/ph-strip';
	import { trendChart } from '$lib/ui/charts/trend';
	import { longDate } from '$core/units/day-text';
	import CecParts from '$lib/ui/reading/CecParts.svelte';
	import HighPhWays from '$lib/ui/reading/HighPhWays.svelte';
	import Cations from '$lib/ui/reading/Cations.svelte';
	import Findings from '$lib/ui/reading/Findings.svelte';
	import GoalForm from '$lib/ui/rates/GoalForm.svelte';
	import HoldingBar from '$lib/ui/reading/HoldingBar.svelte';
	import LeafLog from '$lib/ui/reading/leaf/LeafLog.svelte';
	import NeedsSample from '$lib/ui/frame/NeedsSample.svelte';
	import NutrientReading from '$lib/ui/reading/NutrientReading.svelte';
	import PhByDepth from '$lib/ui/reading/PhByDepth.svelte';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import { unitText } from '$lib/ui/figure/unit-text';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const reading = $derived(data.reading);
	const limeGiven = $derived(reading?.ph.lime.filter(({ answer }) => answer.applies) ?? []);
	/** What has to be looked at before a curve is read. */
	const pressing = $derived(reading?.findings.filter(({ severity }) => severity !== 'note') ?? []);
	const rest = $derived(reading?.findings.filter(({ severity }) => severity === 'note') ?? []);
	const limeSilent = $derived(reading?.ph.lime.filter(({ answer }) => !answer.applies) ?? []);
</script>

<div class="page">
	<h1>Reading the soil</h1>
	{#if !data.hasSample}
		<NeedsSample />
	{:else if !reading}
		<p class="soft">What a value means depends on the crop.</p>
		<GoalForm page={data.goalPage} />
	{:else}
		<p class="soft">
			{data.sampleDate ? `Sampled ${longDate(data.sampleDate)}` : 'Sample without a date'}{data.lab
				? `, ${data.lab}`
				: ''}, for {reading.cropName.toLowerCase()}.
		</p>

		<section class="section columns">
			<div>
				<h2>pH first: nothing else pays while it is wrong</h2>
				{#if reading.ph.soilPh.applies && reading.ph.points.length > 0}
					<Chart
						label={`pH ${formatNumber(reading.ph.soilPh.value, 'pH')} on the scale from 4.5 to 8, with the yield of ${reading.cropName.toLowerCase()} along it`}
						option={phStrip({
							points: reading.ph.points,
							band: reading.ph.band,
							soilPh: reading.ph.soilPh.value,
							target: reading.ph.target
						})}
					/>
				{:else if reading.ph.soilPh.applies}
					<p class="soft">No table gives the yield of {reading.cropName.toLowerCase()} by pH.</p>
				{:else if reading.ph.calciumChloride.applies}
					<p class="reading">pH <strong><Quantity answer={reading.ph.calciumChloride} /></strong> in CaCl2</p>
					<p>
						That scale reads 0.5 to 1 lower than water and is never held against a target in water. On its own scale:
						lime when below {reading.profile.lines.acid}, aim for 6 (common practice).
					</p>
				{:else}
					<p class="empty">{reading.ph.soilPh.reason}. {reading.ph.soilPh.remedy}</p>
				{/if}
			</div>
			<div class="beside-chart">
				{#if reading.ph.soilPh.applies}
					<p>
						Soil pH <strong><Quantity answer={reading.ph.soilPh} bare /></strong>{#if reading.ph.band}; {reading.cropName.toLowerCase()}
							wants {reading.ph.band.low} to {reading.ph.band.high} (common practice){/if}.
					</p>
					<p>
						{#if reading.ph.relativeYield.applies}
							Expected yield at this pH: <strong><Quantity answer={reading.ph.relativeYield} /></strong> of full. One old
							rotation on one site: a direction, not a forecast.
						{:else if reading.ph.points.length > 0}
							No table gives the yield of {reading.cropName.toLowerCase()} at this pH.
						{/if}
					</p>
				{/if}
				<h3>Lime</h3>
				{#each limeGiven as { guide, school, answer } (guide)}
					<p>
						{school} <span class="soft">({guide})</span>:
						{#if answer.applies && answer.value === 0}<strong>none</strong> (<Quantity {answer} />): {answer.formula}{:else}<strong
								><Quantity {answer} /></strong
							>{/if}
					</p>
				{:else}
					<p>
						No approach gives a rate. {limeSilent[0] && !limeSilent[0].answer.applies
							? limeSilent[0].answer.remedy
							: ''}
					</p>
				{/each}
				{#if limeSilent.length > 0}
					<p class="soft small">
						No rate here: {limeSilent.map(({ school, guide }) => `${school.toLowerCase()} (${guide})`).join(', ')};
						Rates says why.
					</p>
				{/if}
			</div>
		</section>

		{#if pressing.length > 0}
			<section class="section" aria-label="Look at this first">
				<h2>Look at this first</h2>
				<Findings findings={pressing} />
			</section>
		{/if}

		{#if reading.highPh}<HighPhWays ways={reading.highPh} />{/if}

		{#if reading.profile.layers.length > 1}<PhByDepth profile={reading.profile} inCm={reading.inCm} />{/if}

		<section class="section">
			<h2>N the soil can hold</h2>
			<HoldingBar {...reading.holding} />
			<CecParts units={data.units} parts={reading.cecParts} />
		</section>

		<section class="section columns">
			{#each reading.nutrients as nutrient (nutrient.analyte)}
				<NutrientReading {nutrient} cropName={reading.cropName} />
			{/each}
		</section>

		<Cations cations={reading.cations} />

		{#if reading.others.length > 0}
			<section class="section">
				<h2>Sulfur and micronutrients</h2>
				{#each reading.others as { name, test, says }, at (at)}
					<p>
						{name.charAt(0).toUpperCase()}{name.slice(1)} <strong><Quantity answer={test} /></strong>{#if says}: {says}{/if}
					</p>
				{/each}
			</section>
		{/if}

		{#if rest.length > 0 || pressing.length === 0}
			<section class="section">
				<h2>{pressing.length > 0 ? 'Also noticed' : 'What stands out, and what the report lacks'}</h2>
				<Findings findings={rest} />
			</section>
		{/if}

		{#if reading.trends.length > 0}
			<section class="section">
				<h2>Over the years</h2>
				<p class="soft small">Only like is compared with like: the same method in the same layer.</p>
				<div class="trends">
					{#each reading.trends as trend, at (at)}
						<figure>
							<figcaption class="small">
								{trend.label.charAt(0).toUpperCase()}{trend.label.slice(1)}{trend.unit === 'pH'
									? ''
									: `, ${trend.unit}`}
							</figcaption>
							<Chart
								label={`${trend.label}: ${trend.points.map(({ date, value }) => `${formatNumber(value, trend.unit)} in ${date.slice(0, 4)}`).join(', ')}`}
								option={trendChart(trend)}
								height="120px"
							/>
						</figure>
					{/each}
				</div>
			</section>
		{/if}

		<LeafLog log={data.leafLog} units={data.units} />

		<section class="section">
			<Disclosure align="start" summary={`The whole report, as it is read (${reading.results.length} results)`}>
				<ListTable
					label="The whole report"
					rows={reading.results}
					columns={[
						{ name: 'Depth', of: ({ depthText }) => depthText },
						{ name: 'Analyte', of: ({ name }) => name },
						{ name: 'Method', of: ({ method }) => method },
						{
							name: 'Lab wrote',
							of: ({ written }) => `${written.qualifier ?? ''}${written.value} ${unitText(written.unit)}`,
							number: true
						},
						{ name: 'Read as', answer: ({ read }) => read }
					]}
				/>
			</Disclosure>
		</section>
	{/if}
</div>

<style>
	.reading {
		font-size: 1.3rem;
	}
	.trends {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
		gap: 0.8rem 1.2rem;
	}
	figure {
		margin: 0;
		min-width: 0;
	}
</style>
