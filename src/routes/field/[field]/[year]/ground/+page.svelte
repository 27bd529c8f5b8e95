<script lang="ts">
	import {
		Button,
		Checkbox,
		Disclosure,
		InlineNotification,
		Select,
		SelectItem,
		TextArea,
		TextInput
	} from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { FieldFacts, SampleAction } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import { TEXTURE_CLASSES } from '$lib/ui/forms/choices';
	import { longDate } from '$core/units/day-text';
	import GroundMap from '$lib/ui/ground/map/GroundMap.svelte';
	import { numberOrUndefined } from '$lib/ui/forms/numbers';
	import SampleForm from '$lib/ui/ground/SampleForm.svelte';
	import SampleTable from '$lib/ui/ground/SampleTable.svelte';
	import BlockPart from '$lib/ui/ground/block/BlockPart.svelte';
	import Setbacks from '$lib/ui/ground/Setbacks.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { remove, save } from '$lib/ui/forms/call';
	import { keptAmount, typedAmount } from '$lib/ui/forms/typed-amount';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Year = PageData['history'][number];
	type Sampled = PageData['samples'][number];
	const TENURES = ['owned', 'rented long', 'rented by the year'];
	const DRAINAGE = ['well', 'moderate', 'somewhat poor', 'poor'];

	let editing = $state(false);
	let problem = $state('');
	let sampleProblem = $state('');
	let typing = $state(false);
	let form = $state(untrack(start));
	/** What the form started from. */
	let seen = $state.raw(untrack(() => data.facts));

	function start() {
		const { name, area_ac, texture, drainage, slope_percent, irrigated, note, tenure } = data.field;
		return {
			name,
			area: typedAmount(area_ac, 'ac', data.units),
			texture: texture ?? '',
			drainage: drainage ?? '',
			slope: slope_percent === null ? '' : String(slope_percent),
			irrigated: irrigated === 1,
			tenure: tenure ?? '',
			units: data.growerUnits ?? '',
			note
		};
	}

	/** What was chosen from lists that hold nothing else. */
	function choicesOf({ texture, tenure, drainage }: ReturnType<typeof start>): Record<string, string> {
		return Object.fromEntries(Object.entries({ texture, tenure, drainage }).filter(([, value]) => value !== ''));
	}

	function edit(): void {
		form = start();
		seen = data.facts;
		problem = '';
		editing = true;
	}

	async function keepSample(sample: SampleAction): Promise<string | undefined> {
		const failed = await save('POST /api/fields/{field}/samples', { field: data.field.id }, sample);
		if (!failed) typing = false;
		return failed;
	}

	async function removeSample(id: string): Promise<void> {
		sampleProblem = await remove('DELETE /api/fields/{field}/samples/{sample}', { field: data.field.id, sample: id });
	}

	async function saveFacts(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const areaAcres = keptAmount(form.area, data.field.area_ac, 'ac', data.units);
		const slopePercent = numberOrUndefined(form.slope);
		if (form.area.trim() !== '' && !(areaAcres && areaAcres > 0))
			return void (problem = `“${form.area}” is no area in ${areaWord}.`);
		if (form.slope.trim() !== '' && slopePercent === undefined)
			return void (problem = `“${form.slope}” is no slope in percent.`);
		problem = await save(
			'PUT /api/fields/{field}/facts',
			{ field: data.field.id },
			{
				name: form.name,
				irrigated: form.irrigated,
				note: form.note,
				...(areaAcres === undefined ? {} : { areaAcres }),
				...(choicesOf(form) as Pick<FieldFacts, 'texture' | 'tenure' | 'drainage'>),
				...(slopePercent === undefined ? {} : { slopePercent }),
				seen
			}
		);
		if (problem === '' && form.units !== (data.growerUnits ?? '')) {
			const units = form.units === '' ? {} : { units: form.units as UnitSystem };
			problem = await save('PUT /api/fields/{field}/grower', { field: data.field.id }, units);
		}
		if (problem === '') editing = false;
	}

	const areaWord = $derived(data.units === 'us' ? 'acres' : 'hectares');
</script>

{#snippet yearCell({ year }: Year)}<a href={`/field/${data.field.id}/${year}/book`}>{year}</a>{/snippet}
{#snippet goalCell({ goal, unit }: Year)}{quantityIn(data.units, goal, unit)}{/snippet}
{#snippet sampleOf(sample: Sampled, inUse: string)}
	<h3 class="sample">
		{sample.date ? longDate(sample.date) : 'No date'}
		<span class="soft">
			{[sample.lab, sample.labNumber && `no. ${sample.labNumber}`].filter(Boolean).join(', ')}{inUse}
		</span>
	</h3>
	<SampleTable layers={sample.layers} />
	<button type="button" class="plain small" onclick={() => removeSample(sample.id)}>Remove this sample</button>
{/snippet}

<div class="page">
	<h1>{data.field.name} <span class="soft grower">{data.field.grower}</span></h1>
	<div class="facts">
		{#if editing}
			<form onsubmit={saveFacts}>
				<div class="fields">
					<TextInput size="sm" labelText="Name" bind:value={form.name} />
					<TextInput size="sm" labelText={`Area, ${areaWord}`} inputmode="decimal" bind:value={form.area} />
					<Select size="sm" labelText="Texture" bind:selected={form.texture}>
						<SelectItem value="" text="Not known" />
						{#each TEXTURE_CLASSES as texture (texture)}<SelectItem value={texture} text={texture} />{/each}
					</Select>
					<Select size="sm" labelText="Drainage" bind:selected={form.drainage}>
						<SelectItem value="" text="Not known" />
						{#each DRAINAGE as drainage (drainage)}<SelectItem value={drainage} text={drainage} />{/each}
					</Select>
					<Select size="sm" labelText="Tenure" bind:selected={form.tenure}>
						<SelectItem value="" text="Not known" />
						{#each TENURES as tenure (tenure)}<SelectItem value={tenure} text={tenure} />{/each}
					</Select>
					<TextInput size="sm" labelText="Slope, %" inputmode="decimal" bind:value={form.slope} />
					<Checkbox labelText="Irrigated" bind:checked={form.irrigated} />
					<Select size="sm" labelText={`Units for all fields of ${data.field.grower}`} bind:selected={form.units}>
						<SelectItem value="" text="As the book" />
						<SelectItem value="us" text="lb/ac, acres" />
						<SelectItem value="metric" text="kg/ha, hectares" />
					</Select>
				</div>
				<TextArea labelText="Note" rows={3} bind:value={form.note} />
				{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
				<div class="row">
					<Button size="small" type="submit">Save the facts</Button>
					<Button size="small" kind="ghost" onclick={() => (editing = false)}>Cancel</Button>
				</div>
			</form>
		{:else}
			<dl class="fact-grid">
				<div>
					<dt>Area</dt>
					<dd>{data.field.area_ac === null ? 'not known' : quantityIn(data.units, data.field.area_ac, 'ac')}</dd>
				</div>
				<div>
					<dt>Texture</dt>
					<dd>{data.field.texture ?? 'not known'}</dd>
				</div>
				<div>
					<dt>Drainage</dt>
					<dd>{data.field.drainage ?? 'not known'}</dd>
				</div>
				<div>
					<dt>Slope</dt>
					<dd>{data.field.slope_percent === null ? 'not known' : `${data.field.slope_percent} %`}</dd>
				</div>
				<div>
					<dt>Tenure</dt>
					<dd>{data.field.tenure ?? 'not known'}</dd>
				</div>
				<div>
					<dt>Irrigated</dt>
					<dd>{data.field.irrigated ? 'yes' : 'no'}</dd>
				</div>
			</dl>
			{#if data.field.note}<p>{data.field.note}</p>{/if}
			<Button size="small" kind="tertiary" onclick={edit}>Change the facts</Button>
		{/if}
	</div>
	{#if data.block || data.perennial}
		<BlockPart fieldId={data.field.id} block={data.block} figures={data.blockFigures} />
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
		</section>
	</div>
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
			<Setbacks fieldId={data.field.id} setbacks={data.setbacks} />
		</section>
	</div>
</div>

{#if typing}<SampleForm today={data.today} keep={keepSample} close={() => (typing = false)} />{/if}

<style>
	.head {
		align-items: center;
	}
	.grower {
		font-size: 1rem;
		font-weight: 400;
	}
	.facts {
		margin-bottom: 1.2rem;
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
	form {
		display: grid;
		gap: 0.9rem;
	}
	.sample {
		margin-top: 1rem;
	}
	.problem {
		color: var(--stop);
	}
	@media (max-width: 800px) {
		.split {
			grid-template-columns: 1fr;
		}
	}
</style>
