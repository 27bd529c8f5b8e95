<!-- A trial: what it says, its plots on the map of the field, what was measured, and what goes out and comes in. -->
<script lang="ts">
	import { isRecorded } from '$core/trials/plots/measures';
	import { Button } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { partsOf, type Shape } from '$core/ground/shapes/shape';
	import type { TrialMeasure } from '$core/schema-types';
	import { treatmentOf } from '$core/trials/analysis/plots';
	import { treatmentCodes, treatmentText } from '$core/trials/design/treatment-codes';
	import { treatmentsOf, triesNitrogenAlone } from '$core/trials/design/treatments';
	import { blocksText, DESIGN_NAMES } from '$lib/design-names';
	import Severity from '$lib/ui/figure/Severity.svelte';
	import { remove, save } from '$lib/ui/forms/call';
	import Choice from '$lib/ui/forms/Choice.svelte';
	import GroundMap from '$lib/ui/ground/map/GroundMap.svelte';
	import { cssColor } from '$lib/ui/ground/map/ramp';
	import RowMenu from '$lib/ui/tables/RowMenu.svelte';
	import MoneyForm from '$lib/ui/trials/MoneyForm.svelte';
	import NitrogenLeft from '$lib/ui/trials/NitrogenLeft.svelte';
	import PlotRecords from '$lib/ui/trials/PlotRecords.svelte';
	import TrialFiles from '$lib/ui/trials/TrialFiles.svelte';
	import TrialForm from '$lib/ui/trials/TrialForm.svelte';
	import TrialMeans from '$lib/ui/trials/TrialMeans.svelte';
	import { readTyped, typedFromPlan, type TypedTrial } from '$lib/ui/trials/typed-trial';
	import { quantityIn } from '$core/units/amount-text';
	import { lengthText } from '$core/units/length-text';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let typed = $state<TypedTrial>();
	let pricing = $state(false);
	let problem = $state('');
	let measure = $state<TrialMeasure>('yield');
	let chosen = $state<string>();
	let moving = $state(false);
	let whole = $state(false);

	const { plan, plots, records } = $derived(data.trial);
	const codes = $derived(treatmentCodes(plan));
	const treatments = $derived(treatmentsOf(plan).map((levels) => ({ levels, name: treatmentOf({ levels }) })));
	const shareOf = (name: string) =>
		treatments.length < 2 ? 0.5 : treatments.findIndex((one) => one.name === name) / (treatments.length - 1);
	const areas = $derived(
		plots.map((plot) => {
			const name = treatmentOf(plot);
			return { name: String(plot.plot), text: codes.get(name)!, shape: plot.shape, share: shareOf(name) };
		})
	);
	const ground = $derived<Shape>({ type: 'MultiPolygon', coordinates: plots.flatMap(({ shape }) => partsOf(shape)) });
	const picked = $derived(plots.find(({ plot }) => String(plot) === chosen));
	const pickedRecord = $derived(records.find(({ plot }) => plot === picked?.plot));
	const shown = $derived(data.readings.find(({ id }) => id === measure) ?? data.readings[0]!);
	const yields = $derived(data.readings[0]!.reading);
	const length = (feet: number) => lengthText(feet, data.units);

	async function keep(): Promise<void> {
		const read = readTyped(typed!, data.units, plan);
		if (typeof read === 'string') return void (problem = read);
		problem = await save('PUT /api/trials/{trial}', { trial: data.trial.id }, { plan: read });
		if (!problem) typed = undefined;
	}

	async function move(longitude: number, latitude: number): Promise<void> {
		const moved = { ...plan, near: [longitude, latitude] };
		problem = await save('PUT /api/trials/{trial}', { trial: data.trial.id }, { plan: moved });
		if (!problem) moving = false;
	}

	async function drop(): Promise<void> {
		problem = await remove('DELETE /api/trials/{trial}', { trial: data.trial.id });
		if (!problem) await goto('/trials');
	}
</script>

<div class="page">
	<div class="row head">
		<div>
			<p class="small"><a href="/trials">Trials</a></p>
			<h1>{plan.name}</h1>
			<p class="soft">
				<a href={`/field/${data.trial.fieldId}/${data.trial.year}/zones`}>{data.trial.field}</a>, {data.trial.grower}, {data
					.trial.year}{plan.question ? `. ${plan.question}` : ''}
			</p>
		</div>
		<RowMenu
			label="What to do with this trial"
			acts={[
				{ text: 'Edit the plan', act: () => (typed = typedFromPlan(plan, data.units)) },
				{ text: 'Price and costs', act: () => (pricing = true) },
				{ text: 'Delete the trial', act: () => void drop() }
			]}
		/>
	</div>
	{#if typed}
		<TrialForm
			bind:typed
			units={data.units}
			{problem}
			action="Save the plan"
			save={() => void keep()}
			cancel={() => ((typed = undefined), (problem = ''))}
		/>
	{:else if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if pricing}
		<MoneyForm
			trialId={data.trial.id}
			{plan}
			yieldUnit={data.yieldUnit}
			price={data.price}
			costs={data.costs}
			close={() => (pricing = false)}
		/>
	{/if}

	<section class="says" aria-label="What it says">
		{#if yields.applies}
			<p class="verdict">{yields.verdict}</p>
			<div class="row">
				<Button size="small" href={`/trials/${data.trial.id}/files/report`} download>Report (PDF)</Button>
				{#if triesNitrogenAlone(plan)}<a href={`/curves/fit?trial=${data.trial.id}`}>Fit response curves to it</a>{/if}
				{#if yields.money.length === 0}
					<Button size="small" kind="ghost" onclick={() => (pricing = true)}>Enter price and costs for returns</Button>
				{/if}
			</div>
			{#if data.became.length > 0}
				<p class="small">
					Became
					{#each data.became as { text, href }, at (at)}{at > 0 ? ', ' : ''}<a {href}>{text}</a>{/each}.
				</p>
			{/if}
		{:else}
			<p class="verdict">Laid out; {yields.reason}.</p>
			<p class="soft">{yields.remedy}</p>
		{/if}
	</section>

	<div class="split">
		<div>
			<div class="map">
				<GroundMap
					name={data.trial.field}
					boundary={data.boundary}
					{areas}
					{chosen}
					mode={moving ? 'point' : 'look'}
					placed={(x, y) => void move(x, y)}
					about={moving || whole ? undefined : ground}
					pick={(name) => (chosen = name === chosen ? undefined : name)}
				/>
			</div>
			<div class="row">
				<Button size="small" kind="ghost" onclick={() => (whole = !whole)}
					>{whole ? 'Show the plots' : 'Show the whole field'}</Button
				>
				{#if !records.some(isRecorded) && plan.lengthFt !== undefined}
					<Button size="small" kind="ghost" onclick={() => (moving = !moving)}
						>{moving ? 'Leave it where it is' : 'Move the trial'}</Button
					>
				{/if}
			</div>
			<p class="small">
				{#if moving}Click where the middle of the trial should lie.
				{:else if picked}<strong>Plot {picked.plot}</strong>, block {picked.block}: {treatmentText(
						plan,
						picked.levels
					)}, {quantityIn(data.units, picked.areaAcres, 'ac')}{pickedRecord?.values?.yield === undefined
						? ''
						: `, ${pickedRecord.values.yield} ${data.yieldUnit}`}{pickedRecord?.points
						? ` from ${pickedRecord.points} points`
						: ''}{pickedRecord?.setAside ? `, left out: ${pickedRecord.setAside}` : ''}.
				{:else}<span class="soft">Pick a plot on the map for its number and treatment.</span>{/if}
			</p>
		</div>
		<div class="facts">
			<section aria-label="Design">
				<h2>Design</h2>
				<p>
					{DESIGN_NAMES[plan.design]}, {blocksText(plan)}, {plots.length} plots
					{length(plan.widthFt)} wide{plan.lengthFt === undefined
						? ' and as long as the field'
						: ` and ${length(plan.lengthFt)} long`}; order drawn with seed {plan.seed}.
				</p>
				<ul class="codes">
					{#each treatments as { levels, name }, at (at)}
						<li>
							<span class="code" style:background={cssColor(shareOf(name), 0.75)}></span>
							<strong>{codes.get(name)}</strong>
							{treatmentText(plan, levels)}{name === plan.usual ? ' (usual)' : ''}
						</li>
					{/each}
				</ul>
				{#if plan.weather}<p class="small">Weather: {plan.weather}</p>{/if}
				{#if plan.note}<p class="small soft">{plan.note}</p>{/if}
			</section>
			{#if data.cautions.length > 0}
				<section aria-label="Cautions">
					<h2>{!records.some(isRecorded) ? 'Before it is spread' : 'Of its design'}</h2>
					{#each data.cautions as caution, at (at)}
						<p class="small"><Severity severity="mind" /> {caution}</p>
					{/each}
				</section>
			{/if}
			<TrialFiles trialId={data.trial.id} products={data.products} />
		</div>
	</div>

	{#if shown.reading.applies}
		<section class="section" aria-label="Results">
			<h2>Results</h2>
			{#if data.readings.length > 1}
				<div class="measure">
					<Choice
						label="What was measured"
						value={measure}
						options={data.readings.map(({ id, name }) => ({ value: id, text: name }))}
						choose={(id) => (measure = id as TrialMeasure)}
					/>
				</div>
				{#if shown.id !== 'yield'}<p>{shown.reading.verdict}</p>{/if}
			{/if}
			{#key shown.id}<TrialMeans {plan} reading={shown.reading} {codes} unit={shown.unit} />{/key}
			{#each shown.reading.grounds as { ground, answer } (ground)}
				<p><strong>On the {ground}:</strong> {answer.verdict}</p>
			{/each}
			{#if data.nitrogenLeft}
				<NitrogenLeft left={data.nitrogenLeft} units={data.units} show={(plot) => (chosen = String(plot))} />
			{/if}
			<h3>What it does not show</h3>
			<ul>
				{#each shown.reading.limits as limit, at (at)}<li>{limit}</li>{/each}
			</ul>
		</section>
	{/if}

	<PlotRecords
		trialId={data.trial.id}
		{plots}
		{records}
		{codes}
		layers={data.layers}
		moistureLayers={data.moistureLayers}
		units={data.units}
		yieldUnit={data.yieldUnit}
		headerFt={plan.headerFt}
	/>
</div>

<style>
	.head {
		justify-content: space-between;
		align-items: start;
	}
	.says {
		border-left: 4px solid var(--action);
		padding: 0.2rem 0 0.2rem 1rem;
		margin: 0.4rem 0 1.2rem;
		max-width: 76rem;
	}
	.verdict {
		font-size: 1.15rem;
		line-height: 1.45;
	}
	.split {
		display: grid;
		grid-template-columns: minmax(320px, 1.2fr) 1fr;
		gap: 2rem;
	}
	.map {
		position: relative;
		height: min(30rem, 65vh);
	}
	.measure {
		max-width: 16rem;
	}
	.facts {
		display: grid;
		gap: 1.2rem;
		align-content: start;
	}
	.codes {
		list-style: none;
		padding: 0;
		columns: 2;
	}
	.code {
		display: inline-block;
		width: 1.1em;
		height: 1.1em;
		vertical-align: -0.15em;
		border: 1px solid var(--ink);
	}
	@media (max-width: 800px) {
		.split {
			grid-template-columns: minmax(0, 1fr);
		}
		.codes {
			columns: 1;
		}
	}
</style>
