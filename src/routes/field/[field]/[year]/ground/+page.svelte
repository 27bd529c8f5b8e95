<script lang="ts">
	import { Button, Disclosure } from 'carbon-components-svelte';
	import type { SampleAction } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { longDate } from '$core/units/day-text';
	import { partText } from '$core/ground/sampling/part-text';
	import FieldFacts from '$lib/ui/ground/FieldFacts.svelte';
	import GroundMap from '$lib/ui/ground/map/GroundMap.svelte';
	import IrrigationPart from '$lib/ui/ground/irrigation/IrrigationPart.svelte';
	import SampleForm from '$lib/ui/ground/SampleForm.svelte';
	import SampleTable from '$lib/ui/ground/SampleTable.svelte';
	import BlockPart from '$lib/ui/ground/block/BlockPart.svelte';
	import Setbacks from '$lib/ui/ground/Setbacks.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { remove, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Year = PageData['history'][number];
	type Sampled = PageData['samples'][number];

	let sampleProblem = $state('');
	let typing = $state(false);
	let correcting = $state.raw<Sampled | undefined>();

	async function keepSample(sample: SampleAction): Promise<string | undefined> {
		const failed = await save('POST /api/fields/{field}/samples', { field: data.field.id }, sample);
		if (!failed) typing = false;
		return failed;
	}

	async function correctSample(sample: SampleAction): Promise<string | undefined> {
		const failed = await save(
			'PUT /api/fields/{field}/samples/{sample}',
			{ field: data.field.id, sample: correcting!.id },
			sample
		);
		if (!failed) correcting = undefined;
		return failed;
	}

	async function removeSample(id: string): Promise<void> {
		sampleProblem = await remove('DELETE /api/fields/{field}/samples/{sample}', { field: data.field.id, sample: id });
	}
</script>

{#snippet yearCell({ year }: Year)}<a href={`/field/${data.field.id}/${year}/book`}>{year}</a>{/snippet}
{#snippet goalCell({ goal, unit }: Year)}{quantityIn(data.units, goal, unit)}{/snippet}
{#snippet sampleOf(sample: Sampled, inUse: string)}
	<h3 class="sample">
		{sample.date ? longDate(sample.date) : 'No date'}
		<span class="soft">
			{[
				sample.lab,
				sample.labNumber && `no. ${sample.labNumber}`,
				sample.meanOf && `mean of ${sample.meanOf.length === 1 ? 'one zone' : `${sample.meanOf.length} zones`} by area`,
				sample.meanOfPoints && `mean of ${sample.meanOfPoints === 1 ? 'one point' : `${sample.meanOfPoints} points`}`
			]
				.filter(Boolean)
				.join(', ')}{inUse}
		</span>
	</h3>
	<SampleTable layers={sample.layers} units={data.units} />
	<div class="row">
		{#if sample.canCorrect}
			<button type="button" class="plain small" onclick={() => (correcting = sample)}>Correct this sample</button>
		{/if}
		<button type="button" class="plain small" onclick={() => removeSample(sample.id)}>Remove this sample</button>
	</div>
{/snippet}

<div class="page">
	<h1>{data.field.name} <span class="soft grower">{data.field.grower}</span></h1>
	<FieldFacts {data} />
	{#if data.block || data.perennial}
		<BlockPart fieldId={data.field.id} block={data.block} figures={data.blockFigures} units={data.units} />
	{/if}
	<div class="split">
		<section class="map">
			{#if data.boundary}
				<div class="paper">
					<GroundMap name={data.field.name} boundary={data.boundary} areas={data.zones} rows={data.rows} />
				</div>
				<a href={`/field/${data.field.id}/${data.year}/zones`}>Map, layers, zones and prescriptions</a>
			{:else}
				<div class="empty">
					<h2>No boundary yet</h2>
					<p>
						The plan works without one. Give the area under “Change the facts”, so that totals for the whole field can
						be shown; or <a href={`/field/${data.field.id}/${data.year}/zones`}>draw it, or read it from a file</a>.
					</p>
				</div>
			{/if}
		</section>
		<section aria-label="Samples">
			<div class="row head">
				<h2>Samples</h2>
				<Button size="small" kind="tertiary" onclick={() => (typing = true)}>Type in a sample</Button>
			</div>
			{#if sampleProblem}<p class="problem" role="alert">{sampleProblem}</p>{/if}
			{#if data.samples[0]}
				{@render sampleOf(data.samples[0], ', in use')}
				{#if data.samples.length > 1}
					<Disclosure align="start" summary={`Older samples (${data.samples.length - 1})`}>
						{#each data.samples.slice(1) as sample (sample.id)}{@render sampleOf(sample, '')}{/each}
					</Disclosure>
				{/if}
			{:else}
				<p class="soft">No sample yet. <a href="/import">Import a lab file</a>.</p>
			{/if}
			{#if data.zoneSamples.length > 0}
				<Disclosure align="start" summary={`Of zones (${data.zoneSamples.length})`}>
					<p class="soft small">The soil values of the zones come from the newest of each.</p>
					{#each data.zoneSamples as sample (sample.id)}{@render sampleOf(sample, `, zone ${sample.zone}`)}{/each}
				</Disclosure>
			{/if}
			{#if data.pointSamples.length > 0}
				<Disclosure align="start" summary={`Of points (${data.pointSamples.length})`}>
					<p class="soft small">They stand on the map as layers; the field goes by their mean.</p>
					{#each data.pointSamples as sample (sample.id)}{@render sampleOf(sample, `, ${partText(sample)}`)}{/each}
				</Disclosure>
			{/if}
			{#if data.spotSamples.length > 0}
				<Disclosure align="start" summary={`Of good and bad spots (${data.spotSamples.length})`}>
					<p class="soft small">They stand beside leaf tests under Reading; the rates do not go by them.</p>
					{#each data.spotSamples as sample (sample.id)}{@render sampleOf(sample, `, ${sample.spot} spot`)}{/each}
				</Disclosure>
			{/if}
		</section>
	</div>
	{#if data.irrigation}
		{#key data.irrigation.booked}
			<IrrigationPart fieldId={data.field.id} year={data.year} page={data.irrigation} />
		{/key}
	{/if}
	<div class="split section">
		<section aria-label="Years">
			<h2>Years</h2>
			{#if data.history.length === 0}
				<p class="soft">No year in the book yet. Set a crop and goal under Rates.</p>
			{:else}
				<ListTable
					label="Years"
					rows={data.history}
					key={({ year }) => String(year)}
					columns={[
						{ name: 'Year', of: ({ year }) => year, cell: yearCell },
						{ name: 'Crop', of: ({ crop }) => crop },
						{ name: 'Goal', of: ({ goal }) => goal, cell: goalCell, number: true },
						{
							name: 'Harvested',
							of: ({ harvested, unit }) => (harvested === null ? '' : quantityIn(data.units, harvested, unit)),
							number: true
						}
					]}
				/>
			{/if}
		</section>
		<section>
			<Setbacks fieldId={data.field.id} setbacks={data.setbacks} units={data.units} />
		</section>
	</div>
</div>

{#if typing}<SampleForm today={data.today} keep={keepSample} close={() => (typing = false)} />{/if}
{#if correcting}
	<SampleForm today={data.today} sample={correcting} keep={correctSample} close={() => (correcting = undefined)} />
{/if}

<style>
	.head {
		align-items: center;
	}
	.grower {
		font-size: 1rem;
		font-weight: 400;
	}
	.split {
		display: grid;
		grid-template-columns: minmax(320px, 1fr) minmax(320px, 1fr);
		gap: 2rem;
	}
	.paper {
		height: 26rem;
		position: relative;
		margin-bottom: 0.4rem;
	}
	.sample {
		margin-top: 1rem;
	}
	@media (max-width: 800px) {
		.split {
			grid-template-columns: 1fr;
		}
	}
</style>
