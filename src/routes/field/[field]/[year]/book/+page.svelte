<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { format, parseISO } from 'date-fns';
	import type { Applied, Pass } from '$core/schema-types';
	import type { ApplicationView } from '$lib/server/pages/application-views';
	import AdvisedThen from '$lib/ui/records/AdvisedThen.svelte';
	import SecondHarvest from '$lib/ui/records/SecondHarvest.svelte';
	import TestMoves from '$lib/ui/records/TestMoves.svelte';
	import ApplicationForm from '$lib/ui/records/ApplicationForm.svelte';
	import ApplicationsTable from '$lib/ui/records/ApplicationsTable.svelte';
	import { quantityIn } from '$core/units/amount-text';
	import { formatQuantity } from '$core/units/display';
	import { HarvestActionBounds } from '$core/schema-types/bounds';
	import { longDate } from '$core/units/day-text';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import NumberField from '$lib/ui/forms/NumberField.svelte';
	import { factsIn } from '$lib/ui/forms/number-within';
	import { keptNumber, typedAmount } from '$lib/ui/forms/typed-amount';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import { save } from '$lib/ui/forms/call';
	import CatchText from '$lib/ui/season/CatchText.svelte';
	import NutrientBalance from '$lib/ui/walk/NutrientBalance.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Line = PageData['passes'][number];
	type Change = PageData['events'][number];
	let harvest = $derived(typedAmount(data.goal?.harvested, data.goal?.unit ?? '', data.units));
	let problem = $state('');
	/** The pass that is recorded, or whose entry is corrected. */
	let recording = $state.raw<{ line: Line; corrects?: { id: string; applied: Applied } } | undefined>();
	const lastBy = $derived(data.applications.find(({ content }) => content.applied?.who)?.content.applied?.who ?? '');

	const address = $derived({ field: data.fieldId, year: data.year });

	async function bookHarvest(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const { harvested, unit = '' } = data.goal ?? {};
		const typed = keptNumber(harvest, harvested, HarvestActionBounds.harvestedYield, unit, data.units);
		if (typeof typed === 'string') return void (problem = typed);
		problem = await save('PUT /api/fields/{field}/{year}/harvest', address, { harvestedYield: typed ?? null });
	}

	async function setDone(seen: Pass, doneOn: string | null): Promise<void> {
		problem = await save('PUT /api/fields/{field}/{year}/done', address, { pass: seen.id, doneOn, seen });
	}

	function correct(entry: ApplicationView): void {
		const line = data.passes.find(({ id }) => id === entry.pass);
		const { applied } = entry.content;
		if (line && applied) recording = { line, corrects: { id: entry.id, applied } };
	}

	async function undo(event: number): Promise<void> {
		problem = await save('POST /api/undo', {}, { event });
	}
</script>

{#snippet plannedCell({ plan }: Line)}{longDate(plan.date)}{/snippet}
{#snippet suppliesCell({ nutrients }: Line)}
	{#each nutrients as { nutrient, amount } (nutrient)}
		<span class="nutrient">{nutrient} <Quantity answer={amount} bare /></span>
	{/each}
{/snippet}
{#snippet appliedCell(line: Line)}
	<span class="nowrap">
		{line.doneOn ? longDate(line.doneOn) : line.soFar ? `${line.soFar} so far` : 'not yet'}
	</span>
	<div class="acts">
		{#if line.doneOn === null}
			<button type="button" class="plain" onclick={() => (recording = { line })}>Record what was applied</button>
		{/if}
		{#if line.entries === 0}
			{#if line.doneOn}
				<button type="button" class="plain" onclick={() => setDone(line.plan, null)}>Not applied</button>
			{:else}
				<button type="button" class="plain" onclick={() => setDone(line.plan, line.plan.date)}
					>Applied as planned</button
				>
			{/if}
		{/if}
	</div>
{/snippet}
{#snippet whenCell({ at }: Change)}{format(parseISO(at), 'd MMM yyyy HH:mm')}{/snippet}
{#snippet whatCell({ label, undone }: Change)}<span class:undone>{label}</span>{/snippet}
{#snippet undoCell({ id, undone, isUndo }: Change)}
	{#if undone}<span class="soft">undone</span>{:else if !isUndo}
		<button type="button" class="plain" onclick={() => undo(id)}>Undo</button>
	{/if}
{/snippet}

<div class="page">
	<h1>What happened in {data.year}</h1>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if !data.goal}
		<p class="soft">No crop is in the book for this year. Set one under Rates.</p>
	{:else}
		<form class="row" onsubmit={bookHarvest}>
			<p class="goal">{data.goal.crop}, goal {quantityIn(data.units, data.goal.yieldGoal, data.goal.unit)}.</p>
			<div class="yield">
				<NumberField
					facts={factsIn(HarvestActionBounds.harvestedYield, data.goal.unit, data.units)}
					bind:text={harvest}
				/>
			</div>
			<Button size="small" kind="tertiary" type="submit">Save the harvest</Button>
		</form>
		{#if data.second}<SecondHarvest {address} second={data.second} units={data.units} />{/if}
		<p>
			<a href={`/field/${data.fieldId}/${data.year}/walk`}
				>Count tillers, record a nitrate test or N-rich and zero-N strips</a
			>
		</p>
		<section class="section">
			<h2>Passes, planned and applied</h2>
			{#if data.passes.length === 0}
				<p class="soft">No pass is planned or recorded for this year.</p>
			{:else}
				<ListTable
					label="Passes, planned and applied"
					rows={data.passes}
					key={({ plan }) => plan.id}
					columns={[
						{ name: 'Planned', of: ({ plan }) => plan.date, cell: plannedCell },
						{ name: 'Pass', of: ({ plan }) => plan.label },
						{ name: 'Applied', of: ({ doneOn }) => doneOn, cell: appliedCell },
						{ name: 'Product', of: ({ productName }) => productName },
						{ name: 'Rate', answer: ({ rate }) => rate },
						{ name: 'Supplies', cell: suppliesCell }
					]}
				/>
			{/if}
		</section>
		{#if data.applications.length > 0}
			<section class="section">
				<h2>What was applied</h2>
				<ApplicationsTable entries={data.applications} {correct} />
			</section>
		{/if}
		{#each data.logs as { id, label, appliedOn, unit, zones, share } (id)}
			<section class="section" aria-label={`The monitor’s log: ${label}`}>
				<h2>By the monitor: {label}</h2>
				<p class="soft">{longDate(appliedOn)}, over {Math.round(100 * share)} % of the ground.</p>
				<div class="log">
					<ListTable
						label={`Applied by part: ${label}`}
						rows={zones}
						key={({ zone }) => zone}
						columns={[
							{ name: 'Part', of: ({ zone }) => zone },
							{ name: 'Planned', of: ({ wanted }) => formatQuantity(wanted, unit), number: true },
							{
								name: 'Applied',
								of: ({ applied, points }) => (points > 0 ? formatQuantity(applied, unit) : 'nothing logged'),
								number: true
							},
							{
								name: 'Off by',
								of: ({ applied, wanted, points }) =>
									points > 0 && wanted > 0 ? formatQuantity((100 * (applied - wanted)) / wanted, '%') : '',
								number: true
							},
							{
								name: 'Varies by',
								of: ({ points, variation }) => (points > 0 ? formatQuantity(variation, '%') : ''),
								number: true
							}
						]}
					/>
				</div>
			</section>
		{/each}
	{/if}
	{#if data.balance.length > 0}
		<section class="section" aria-label="Nutrient balance">
			<h2>Nutrient balance over the years</h2>
			<NutrientBalance years={data.balance} units={data.units} />
			{#if data.catchCrop}<CatchText {...data.catchCrop} kind="normal" />{/if}
		</section>
	{/if}
	{#if data.moves.length > 0}
		<section class="section" aria-label="Soil tests and balance">
			<h2>Did the soil test follow the balance?</h2>
			<TestMoves moves={data.moves} years={data.balance} units={data.units} />
		</section>
	{/if}
	{#if data.advised}
		<section class="section" aria-label="As each approach would have advised">
			<h2>What each approach would have advised for {data.year}</h2>
			<AdvisedThen advised={data.advised} year={data.year} units={data.units} />
		</section>
	{/if}
	<section class="section">
		<h2>Changes on this field</h2>
		{#if data.events.length === 0}
			<p class="soft">None yet. Whatever you change is written here, and can be undone.</p>
		{:else}
			<ListTable
				label="Changes on this field"
				rows={data.events}
				key={({ id }) => String(id)}
				columns={[
					{ name: 'When', of: ({ at }) => at, cell: whenCell },
					{ name: 'What', of: ({ label }) => label, cell: whatCell },
					{ name: '', cell: undoCell }
				]}
			/>
		{/if}
	</section>
</div>

{#if recording}
	<ApplicationForm
		{address}
		pass={recording.line.plan}
		corrects={recording.corrects}
		acresLeft={recording.line.acresLeft}
		{lastBy}
		today={data.today}
		catalogue={data.catalogue}
		units={data.units}
		close={() => (recording = undefined)}
	/>
{/if}

<style>
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1rem;
		margin-top: 0.15rem;
	}
	.acts > button {
		text-align: left;
	}
	.nowrap {
		white-space: nowrap;
	}
	.log {
		max-width: 44rem;
	}
	.nutrient {
		margin-right: 0.7rem;
		white-space: nowrap;
	}
	.goal {
		margin: 0;
		align-self: center;
	}
	.yield {
		width: 9rem;
	}
	.undone {
		text-decoration: line-through;
		color: var(--ink-soft);
	}
</style>
