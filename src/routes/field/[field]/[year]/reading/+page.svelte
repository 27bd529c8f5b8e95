<script lang="ts">
	import { formatNumber } from '$core/units/display';
	import Chart from '$lib/ui/charts/Chart.svelte';
	import { phStrip } from '$lib/ui/charts/ph-strip';
	import { longDate } from '$lib/ui/dates';
	import Findings from '$lib/ui/Findings.svelte';
	import GoalForm from '$lib/ui/GoalForm.svelte';
	import HoldingBar from '$lib/ui/HoldingBar.svelte';
	import NeedsSample from '$lib/ui/NeedsSample.svelte';
	import NutrientReading from '$lib/ui/NutrientReading.svelte';
	import Quantity from '$lib/ui/Quantity.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const reading = $derived(data.reading);
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

		<section class="section two">
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
				{:else if !reading.ph.soilPh.applies}
					<div class="empty">
						{#if reading.ph.calciumChloride.applies}
							<p>
								pH <Quantity answer={reading.ph.calciumChloride} /> in CaCl2. That scale reads 0.5 to 1 lower than water and
								is never held against a target in water.
							</p>
						{/if}
						{#if !reading.ph.calciumChloride.applies}<p>{reading.ph.soilPh.reason}. {reading.ph.soilPh.remedy}</p>{/if}
					</div>
				{/if}
			</div>
			<div class="facts">
				{#if reading.ph.soilPh.applies}
					<p>
						Soil pH <strong><Quantity answer={reading.ph.soilPh} bare /></strong>{#if reading.ph.band}; {reading.cropName.toLowerCase()}
							wants {reading.ph.band.low} to {reading.ph.band.high} (common practice){/if}.
					</p>
					<p>
						{#if reading.ph.relativeYield.applies}
							Expected yield at this pH: <strong><Quantity answer={reading.ph.relativeYield} /></strong> of full. One old
							rotation on one site: a direction, not a forecast.
						{:else}
							No table gives the yield of {reading.cropName.toLowerCase()} by pH.
						{/if}
					</p>
				{/if}
				<h3>Lime</h3>
				{#each reading.ph.lime as { guide, answer } (guide)}
					<p>
						{guide}:
						{#if answer.applies && answer.value === 0}<strong>none</strong> (<Quantity {answer} />): {answer.formula}{:else}<strong
								><Quantity {answer} /></strong
							>{/if}
					</p>
				{/each}
			</div>
		</section>

		<section class="section">
			<h2>What the ground can hold</h2>
			<HoldingBar {...reading.holding} />
		</section>

		<section class="section two">
			{#each reading.nutrients as nutrient (nutrient.analyte)}
				<NutrientReading {nutrient} cropName={reading.cropName} />
			{/each}
		</section>

		<section class="section">
			<h2>Cations on the exchange</h2>
			{#if reading.cations.length === 0}
				<p class="soft">The report gives no cations with a CEC to hold them against.</p>
			{:else}
				<p>
					{#each reading.cations as { cation, share } (cation)}
						<span class="cation">{cation} <strong><Quantity answer={share} /></strong></span>
					{/each}
					of CEC.
				</p>
			{/if}
		</section>

		<section class="section">
			<h2>What the report lacks</h2>
			<Findings findings={reading.findings} />
		</section>
	{/if}
</div>

<style>
	.two {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
		gap: 1.5rem 2.5rem;
	}
	.two > * {
		min-width: 0;
	}
	.facts {
		padding-top: 1.6rem;
	}
	.cation {
		margin-right: 1.2rem;
	}
</style>
