<!-- A tiller count at several spots. -->
<script lang="ts">
	import { Checkbox, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropTestAction } from '$core/schema-types';
	import { TillerCountBounds } from '$core/schema-types/bounds';
	import type { UnitSystem } from '$core/units/rate-units';
	import { factsIn } from '../forms/number-within';
	import { keptNumber, typedAmount } from '../forms/typed-amount';
	import NumberField from '../forms/NumberField.svelte';
	import { numberOrUndefined } from '../forms/numbers';
	import DayField from '../forms/days/DayField.svelte';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		today: string;
		units: UnitSystem;
		rowSpacingIn: number | null;
		book: (test: CropTestAction) => Promise<boolean>;
	}
	const { today, units, rowSpacingIn, book }: Props = $props();
	let date = $state(untrack(() => today));
	const usualIn = $derived(rowSpacingIn ?? 7.5);
	let rows = $state(untrack(() => typedAmount(usualIn, 'in', units)));
	let counts = $state(['', '', '']);
	let looksHungry = $state(false);
	let problem = $state('');

	async function save(): Promise<void> {
		const filled = counts.filter((count) => count.trim() !== '');
		const numbers = filled.map((text) => numberOrUndefined(text) ?? -1);
		const wrong = filled.find((_, at) => numbers[at]! < 0);
		if (filled.length === 0) return void (problem = 'Write the count of at least one spot.');
		if (wrong !== undefined) return void (problem = `The count “${wrong}” must be a number, 0 or more.`);
		const { rowSpacingIn: facts } = TillerCountBounds;
		const spacing = keptNumber(rows, usualIn, facts, 'in', units);
		if (spacing === undefined) return void (problem = `${facts.label} is not filled in.`);
		if (typeof spacing === 'string') return void (problem = spacing);
		problem = '';
		const found = {
			date,
			counts: numbers,
			rowSpacingIn: spacing,
			...(looksHungry ? { looksHungry } : {})
		};
		if (await book({ kind: 'tillers', found })) counts = ['', '', ''];
	}
</script>

<WalkForm {save} {problem} action="Save the count">
	<div class="fields">
		<DayField label="Day" tall bind:date />
		<NumberField tall facts={factsIn(TillerCountBounds.rowSpacingIn, 'in', units)} bind:text={rows} />
	</div>
	<div class="fields spots">
		{#each counts as _, at (at)}
			<TextInput labelText={`Spot ${at + 1}, stems`} inputmode="numeric" bind:value={counts[at]} />
		{/each}
	</div>
	<button type="button" class="plain" onclick={() => (counts = [...counts, ''])}>Another spot</button>
	<Checkbox labelText="The crop looks hungry" bind:checked={looksHungry} />
</WalkForm>

<style>
	.spots {
		grid-template-columns: repeat(auto-fill, minmax(90px, 1fr));
	}
</style>
