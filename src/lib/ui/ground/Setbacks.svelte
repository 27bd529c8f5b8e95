<!-- The distances that are kept on a field; they stand on every plan and sheet of it. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import type { Setback } from '$core/schema-types';
	import { lengthText } from '$core/units/length-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import { keptAmount } from '../forms/typed-amount';
	import { save } from '../forms/call';

	interface Props {
		fieldId: string;
		setbacks: readonly Setback[];
		units: UnitSystem;
	}
	const { fieldId, setbacks, units }: Props = $props();
	let from = $state('');
	let feet = $state('');
	let problem = $state('');
	const length = $derived(units === 'us' ? 'feet' : 'metres');

	async function keep(list: readonly Setback[]): Promise<boolean> {
		problem = await save('PUT /api/fields/{field}/setbacks', { field: fieldId }, { setbacks: [...list] });
		return problem === '';
	}

	async function add(): Promise<void> {
		const distance = keptAmount(feet, undefined, 'ft', units);
		if (from.trim() === '') return void (problem = 'Say what the distance is from, such as “the well”.');
		if (distance === undefined || distance <= 0)
			return void (problem = `The distance “${feet}” must be a number of ${length} above 0.`);
		if (await keep([...setbacks, { from: from.trim(), feet: distance }])) [from, feet] = ['', ''];
	}
</script>

<section class="section" aria-label="Setbacks">
	<h2>Setbacks</h2>
	{#if setbacks.length === 0}
		<p class="soft">None yet: wells, streams, sinkholes, tile inlets. Where local law asks for more, that.</p>
	{:else}
		<ul>
			{#each setbacks as setback, at (at)}
				<li>
					{lengthText(setback.feet, units)} from {setback.from}
					<button
						type="button"
						class="plain small"
						aria-label={`Delete ${setback.from}`}
						onclick={() => keep(setbacks.filter((_, index) => index !== at))}>Delete</button
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="fields">
		<TextInput size="sm" labelText="From what" placeholder="the well" bind:value={from} />
		<TextInput size="sm" labelText={units === 'us' ? 'Feet' : 'Metres'} inputmode="decimal" bind:value={feet} />
		<Button size="small" kind="tertiary" onclick={add}>Add a distance</Button>
	</div>
</section>

<style>
	ul {
		margin: 0 0 0.6rem;
		padding-left: 1.1rem;
	}
	.fields {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
		align-items: end;
		max-width: 30rem;
	}
</style>
