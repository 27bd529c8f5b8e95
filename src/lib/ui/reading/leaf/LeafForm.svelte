<!-- A leaf test, typed. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { LEAF_ELEMENTS, leafUnit } from '$core/units/leaf-units';
	import { goesByAge } from '$core/reading/leaf/leaf-range';
	import type { LeafElement, LeafLogEntry, LeafRanges } from '$core/schema-types';
	import type { UnitSystem } from '$core/units/rate-units';
	import { save } from '../../forms/call';
	import DayField from '../../forms/days/DayField.svelte';
	import { numberOrUndefined } from '../../forms/numbers';
	import SamplingCard from './SamplingCard.svelte';

	interface Props {
		fieldId: string;
		crop: { id: string; name: string };
		/** What a test of the crop can be read against, the usual first. */
		ranges: readonly LeafRanges[];
		today: string;
		units: UnitSystem;
	}
	const { fieldId, crop, ranges, today, units }: Props = $props();

	const ANY_MONTH = 'any month';
	const usual = $derived(ranges[0]);
	/** Ranges by age are for leaves of any month. */
	const byAge = $derived(usual !== undefined && goesByAge(usual));
	const usualStage = $derived(usual === undefined ? '' : byAge ? ANY_MONTH : usual.when);
	let takenOn = $state(untrack(() => today));
	let part = $state(untrack(() => usual?.part ?? ''));
	let stage = $state(untrack(() => usualStage));
	let spot = $state<LeafLogEntry['spot']>('whole');
	let lab = $state('');
	let typed = $state<Partial<Record<LeafElement, string>>>({});
	let problem = $state('');

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const results: LeafLogEntry['results'] = {};
		for (const element of LEAF_ELEMENTS) {
			const text = typed[element]?.trim() ?? '';
			if (text === '') continue;
			const value = numberOrUndefined(text);
			if (value === undefined || value <= 0)
				return void (problem = `${element} “${text}” must be ${leafUnit(element)} above 0.`);
			results[element] = value;
		}
		if (Object.keys(results).length === 0) return void (problem = 'Type in at least one element.');
		if (part.trim() === '' || stage.trim() === '')
			return void (problem = 'Say which leaves were picked and when: without it the test cannot be read.');
		problem = await save(
			'POST /api/fields/{field}/leaf-tests',
			{ field: fieldId },
			{
				takenOn,
				crop: crop.id,
				part: part.trim(),
				stage: stage.trim(),
				spot,
				results,
				...(lab.trim() === '' ? {} : { lab: lab.trim() })
			}
		);
		if (!problem) typed = {};
	}
</script>

<form onsubmit={keep} aria-label="Leaf test">
	{#each ranges as one, at (at)}<SamplingCard ranges={one} {units} />{/each}
	<p class="soft small">
		Of a bad spot, pick as many leaves in a good one beside it on the same day, and take a soil sample from both. <a
			href="/leaf-ranges">Leaf ranges</a
		>
	</p>
	<div class="fields">
		<DayField label="Picked on" bind:date={takenOn} />
		<TextInput size="sm" labelText="Leaves" placeholder={usual?.part} bind:value={part} />
		{#if !byAge}
			<TextInput size="sm" labelText="Stage or month" placeholder={usualStage || 'May'} bind:value={stage} />
		{/if}
		<Select size="sm" labelText="Spot" bind:selected={spot}>
			<SelectItem value="whole" text="whole field" />
			<SelectItem value="bad" text="bad spot" />
			<SelectItem value="good" text="good spot" />
		</Select>
		<TextInput size="sm" labelText="Lab" bind:value={lab} />
	</div>
	<div class="fields narrow">
		{#each LEAF_ELEMENTS as element (element)}
			<TextInput
				size="sm"
				labelText={`${element}, ${leafUnit(element)}`}
				inputmode="decimal"
				bind:value={() => typed[element] ?? '', (text) => (typed[element] = text)}
			/>
		{/each}
	</div>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<Button size="small" type="submit">Save the leaf test</Button>
</form>

<style>
	form {
		display: grid;
		gap: 0.8rem;
		justify-items: start;
		padding: 0.4rem 0 0.8rem;
	}
	.narrow {
		grid-template-columns: repeat(auto-fill, minmax(6rem, 1fr));
	}
</style>
