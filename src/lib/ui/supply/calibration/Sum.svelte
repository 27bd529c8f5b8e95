<!-- A few numbers typed in and what follows from them at once, with its steps. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Figure } from '$core/figure/figure';
	import { numberOrUndefined } from '../../forms/numbers';
	import Quantity from '../../figure/Quantity.svelte';

	interface Props {
		title: string;
		note: string;
		fields: readonly { name: string; label: string; start: string }[];
		/** Choices beside the numbers. */
		choice?: { label: string; options: readonly string[] };
		/** What follows from the numbers in their order; each is above 0. */
		sum: (values: number[], chosen: string) => { words: string; figure: Figure }[];
	}
	const { title, note, fields, choice, sum }: Props = $props();

	let typed = $state(untrack(() => fields.map(({ start }) => start)));
	let chosen = $state(untrack(() => choice?.options[0] ?? ''));
	const values = $derived(typed.map((text) => numberOrUndefined(text)));
	const wrong = $derived(values.findIndex((value) => value === undefined || value <= 0));
	const results = $derived(wrong < 0 ? sum(values as number[], chosen) : []);
</script>

<section aria-label={title}>
	<h2>{title}</h2>
	<p class="soft small">{note}</p>
	<div class="fields">
		{#each fields as { name, label }, at (name)}
			<TextInput size="sm" labelText={label} inputmode="decimal" bind:value={typed[at]} />
		{/each}
		{#if choice}
			<Select size="sm" labelText={choice.label} bind:selected={chosen}>
				{#each choice.options as option (option)}<SelectItem value={option} text={option} />{/each}
			</Select>
		{/if}
	</div>
	{#if wrong >= 0}
		<p class="problem" role="alert">
			{fields[wrong]!.label}: {typed[wrong]!.trim() === ''
				? 'type a number above 0.'
				: `“${typed[wrong]}” must be a number above 0.`}
		</p>
	{:else}
		{#each results as { words, figure } (words)}
			<p class="result">{words} <strong><Quantity answer={figure} /></strong></p>
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
