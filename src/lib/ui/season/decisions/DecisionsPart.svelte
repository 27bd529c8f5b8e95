<!-- What the plan decides within the season: look on a day, and by what is seen a pass goes on or not. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Pass } from '$core/schema-types';
	import type { SeasonPage } from '$lib/server/pages/season-page';
	import { placementName } from '$core/units/placement-name';
	import type { UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import { shiftDate } from '$core/season/weather/season-weather';
	import Quantity from '../../figure/Quantity.svelte';
	import NumberField from '../../forms/NumberField.svelte';
	import DayField from '../../forms/days/DayField.svelte';
	import { call, remove, save, type YearAddress } from '../../forms/call';
	import { limitFacts, rateFacts, readDecision, type TypedDecision } from './typed-decision';

	interface Props {
		address: YearAddress;
		decisions: NonNullable<SeasonPage['season']>['decisions'];
		catalogue: SeasonPage['catalogue'];
		units: UnitSystem;
		plantingDate: string;
	}
	const { address, decisions, catalogue, units, plantingDate }: Props = $props();

	/** Days from planting on which rain of spring is usually looked back on, and the dose then goes on: common practice. */
	const LOOK_AFTER_DAYS = 42;
	const DOSE_AFTER_DAYS = 45;

	const sources = $derived(catalogue.filter(({ nitrogen }) => nitrogen));
	let typed = $state<TypedDecision>();
	let problem = $state('');
	const card = $derived(sources.find(({ id }) => id === typed?.product));
	const cautions = $derived(card?.cautions ?? []);

	function start(): void {
		const source = untrack(() => sources.find(({ id }) => id === 'uan-28') ?? sources[0]);
		typed = {
			name: '',
			on: shiftDate(plantingDate, LOOK_AFTER_DAYS),
			look: 'rain',
			since: plantingDate,
			is: 'above',
			amount: '',
			product: source?.id ?? '',
			rate: '',
			unit: 'lb/ac',
			placement: source?.placements[0] ?? 'broadcast',
			date: shiftDate(plantingDate, DOSE_AFTER_DAYS)
		};
	}

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const read = readDecision(typed!, units);
		if (typeof read === 'string') return void (problem = read);
		const outcome = await call('POST /api/fields/{field}/{year}/decisions', address, read);
		problem = outcome.problem ?? '';
		if (outcome.answer) typed = undefined;
	}

	async function take(id: string): Promise<void> {
		problem = await save('POST /api/fields/{field}/{year}/decisions/{decision}/pass', { ...address, decision: id }, {});
	}

	async function drop(id: string): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/{year}/decisions/{decision}', { ...address, decision: id });
	}

	function choose(product: string): void {
		const found = sources.find(({ id }) => id === product);
		if (!typed || !found) return;
		typed.product = product;
		if (!found.placements.includes(typed.placement)) typed.placement = found.placements[0]!;
	}
</script>

<section class="section" aria-label="To be decided">
	<h2>To be decided in the season</h2>
	<p class="soft small">
		A base dose now, and a rule for the rest: on a day look at something, and by what is seen a pass goes on or not. The
		simulated seasons play it out.
	</p>
	{#each decisions as decision (decision.id)}
		<article aria-label={decision.name}>
			<p><strong>{decision.name}.</strong> {decision.text}</p>
			<p class="small">
				{#if decision.madeOn}Decided on {longDate(decision.madeOn)}; its pass is in the plan.
				{:else if decision.seen.applies}Seen: <Quantity answer={decision.seen} />. {decision.calls
						? 'It calls for the pass.'
						: 'It does not call for the pass.'}
				{:else}<span class="soft">Not yet: {decision.seen.reason}.</span>{/if}
			</p>
			<div class="row">
				{#if !decision.madeOn}
					<Button size="small" kind={decision.calls ? 'primary' : 'tertiary'} onclick={() => void take(decision.id)}
						>Add its pass to the plan</Button
					>
				{/if}
				<Button size="small" kind="ghost" onclick={() => void drop(decision.id)}>Delete the decision</Button>
			</div>
		</article>
	{/each}
	{#if typed}
		<form onsubmit={keep} aria-label="A decision">
			<div class="fields">
				<TextInput
					size="sm"
					labelText="Name"
					maxlength={80}
					placeholder="Rain since the base dose"
					bind:value={typed.name}
				/>
				<DayField label="Look on" bind:date={typed.on} />
				<Select size="sm" labelText="Look at" bind:selected={typed.look}>
					<SelectItem value="rain" text="rain since a day" />
					<SelectItem value="nitrate" text="nitrate by the season model" />
					<SelectItem value="test" text="a nitrate test in the crop" />
					<SelectItem value="strips" text="the crop against its N-rich strip" />
				</Select>
				{#if typed.look === 'rain'}<DayField label="Rain since" bind:date={typed.since} />{/if}
				<Select size="sm" labelText="Add if it is" bind:selected={typed.is}>
					<SelectItem value="above" text="above" />
					<SelectItem value="below" text="below" />
				</Select>
				<NumberField facts={limitFacts(typed.look, units)} bind:text={typed.amount} />
			</div>
			<div class="fields">
				<Select
					size="sm"
					labelText="Then put on"
					selected={typed.product}
					on:update={({ detail }) => choose(String(detail))}
				>
					{#each sources as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<NumberField facts={rateFacts(typed.unit, units)} bind:text={typed.rate} />
				<Select size="sm" labelText="Placement" bind:selected={typed.placement}>
					{#each card?.placements ?? [] as placement (placement)}
						<SelectItem value={placement} text={placementName(placement as Pass['placement'])} />
					{/each}
				</Select>
				<DayField label="On" bind:date={typed.date} />
			</div>
			{#each cautions as caution, at (at)}<p class="small soft">{caution}</p>{/each}
			<div class="row">
				<Button size="small" type="submit">Save the decision</Button>
				<Button size="small" kind="ghost" onclick={() => ((typed = undefined), (problem = ''))}>Cancel</Button>
			</div>
		</form>
	{:else if sources.length > 0}
		<Button size="small" kind="tertiary" onclick={start}>Add a decision</Button>
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	article {
		border-left: 3px solid var(--rule-strong);
		padding-left: 0.8rem;
		margin: 0.6rem 0;
	}
	form {
		display: grid;
		gap: 0.8rem;
		margin-top: 0.6rem;
	}
	/* What is looked at is read whole. */
	form .fields {
		grid-template-columns: repeat(auto-fill, minmax(15.5rem, 1fr));
	}
</style>
