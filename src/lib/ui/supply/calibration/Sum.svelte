<!-- A few numbers typed in and what follows from them at once, with its steps. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Figure } from '$core/figure/figure';
	import { inSystem, unitInSystem, valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import { numberOrUndefined } from '../../forms/numbers';
	import Quantity from '../../figure/Quantity.svelte';

	interface Props {
		title: string;
		note: string;
		/** Numbers to type, each with a first value in its US unit and in the metric one. */
		fields: readonly { name: string; label: string; unit?: string; start: string; metric?: string }[];
		units: UnitSystem;
		/** Choices beside the numbers. */
		choice?: { label: string; options: readonly string[] };
		/** What follows from the numbers in their order, in US units; each is above 0. */
		sum: (values: number[], chosen: string) => { words: string; figure: Figure }[];
	}
	const { title, note, fields, units, choice, sum }: Props = $props();

	let typed = $state(untrack(() => fields.map(({ start, metric }) => (units === 'metric' && metric) || start)));
	let chosen = $state(untrack(() => choice?.options[0] ?? ''));
	const values = $derived(typed.map((text) => numberOrUndefined(text)));
	const wrong = $derived(values.findIndex((value) => value === undefined || value <= 0));
	const results = $derived(
		wrong < 0
			? sum(
					fields.map(({ unit = '' }, at) => valueFromSystem(values[at]!, unit, units)),
					chosen
				)
			: []
	);
	const labelOf = ({ label, unit }: { label: string; unit?: string }) =>
		unit ? `${label}, ${unitInSystem(unit, units)}` : label;
</script>

<section aria-label={title}>
	<h2>{title}</h2>
	<p class="soft small">{note}</p>
	<div class="fields">
		{#each fields as field, at (field.name)}
			<TextInput size="sm" labelText={labelOf(field)} inputmode="decimal" bind:value={typed[at]} />
		{/each}
		{#if choice}
			<Select size="sm" labelText={choice.label} bind:selected={chosen}>
				{#each choice.options as option (option)}<SelectItem value={option} text={option} />{/each}
			</Select>
		{/if}
	</div>
	{#if wrong >= 0}
		<p class="problem" role="alert">
			{labelOf(fields[wrong]!)}: {typed[wrong]!.trim() === ''
				? 'type a number above 0.'
				: `“${typed[wrong]}” must be a number above 0.`}
		</p>
	{:else}
		{#each results as { words, figure } (words)}
			<p class="result">{words} <strong><Quantity answer={inSystem(figure, units)} /></strong></p>
		{/each}
	{/if}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
		gap: 0.6rem 1rem;
		margin-bottom: 0.6rem;
	}
	.result {
		margin: 0 0 0.2rem;
		font-size: 1.05rem;
	}
</style>
