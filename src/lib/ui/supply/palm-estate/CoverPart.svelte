<!-- The legume cover between young palms: seed, phosphate, and what it gets once it is up. -->
<script lang="ts">
	import { Checkbox, TextInput } from 'carbon-components-svelte';
	import type { CoverProgramme } from '$core/schema-types';

	import { isDay, longDate } from '$core/units/day-text';
	import { legumeCover } from '$core/supply/palm-estate/legume-cover';
	import Quantity from '../../figure/Quantity.svelte';
	import DayField from '../../forms/days/DayField.svelte';
	import { numberOrUndefined } from '../../forms/numbers';

	interface Props {
		cover: CoverProgramme;
		names: { phosphate: string; npk: string };
	}
	const { cover, names }: Props = $props();

	let hectares = $state('10');
	let germinatedOn = $state('');
	let smallDarkLeaves = $state(false);
	const ground = $derived(numberOrUndefined(hectares) ?? 0);
	const wrong = $derived(
		ground <= 0
			? `The ground “${hectares}” must be hectares above 0.`
			: germinatedOn !== '' && !isDay(germinatedOn)
				? `The day it came up, “${germinatedOn}”, must be a day such as 2027-03-28.`
				: ''
	);
	const result = $derived(
		wrong ? undefined : legumeCover(cover, ground, germinatedOn === '' ? undefined : germinatedOn, smallDarkLeaves)
	);
</script>

<section aria-label="Legume cover">
	<h2>Legume cover</h2>
	<p class="soft">
		Sown with the palms, in {cover.drills} drills between two rows. It feeds itself on nitrogen, not on phosphate.
	</p>
	<div class="fields">
		<TextInput size="sm" labelText="Ground, ha" inputmode="decimal" bind:value={hectares} />
		<DayField label="Came up on" placeholder="not yet" bind:date={germinatedOn} />
	</div>
	<Checkbox labelText="Its leaves are small and dark" bind:checked={smallDarkLeaves} />
	{#if !result}
		<p class="problem" role="alert">{wrong}</p>
	{:else}
		<dl class="fact-lines">
			<div>
				<dt>Seed</dt>
				<dd><Quantity answer={result.seed} /></dd>
			</div>
			<div>
				<dt>Mixed into it, {names.phosphate}</dt>
				<dd><Quantity answer={result.phosphate} /></dd>
			</div>
			<div>
				<dt>
					{names.npk}, {result.npkOn
						? `on ${longDate(result.npkOn)}`
						: `${cover.afterGerminationDays} days after it comes up`}
				</dt>
				<dd><Quantity answer={result.npk.low} /> to <Quantity answer={result.npk.high} /></dd>
			</div>
			{#if result.rescue}
				<div>
					<dt>Small dark leaves want phosphate: {names.phosphate}</dt>
					<dd><Quantity answer={result.rescue} /></dd>
				</div>
			{/if}
		</dl>
	{/if}
</section>

<style>
	.fields {
		margin: 0.6rem 0 0.9rem;
	}
</style>
