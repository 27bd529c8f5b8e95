<!-- A nitrate test in the crop. -->
<script lang="ts">
	import { Checkbox, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropTestAction } from '$core/schema-types';
	import { keysOf } from '$core/check/typed-object';
	import { NitrateTestBounds } from '$core/schema-types/bounds';
	import DayField from '../forms/days/DayField.svelte';
	import { typedNumbers } from '../forms/number-within';
	import NumberField from '../forms/NumberField.svelte';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		today: string;
		book: (test: CropTestAction) => Promise<boolean>;
	}
	const { today, book }: Props = $props();
	let date = $state(untrack(() => today));
	let typed = $state({ nitratePpm: '', depthIn: '12', cropHeightIn: '' });
	let from = $state<'soil' | 'leaf'>('soil');
	let wetOrManured = $state(false);
	let freshBand = $state(false);
	let problem = $state('');

	async function save(): Promise<void> {
		const numbers = typedNumbers(typed, NitrateTestBounds, ['nitratePpm', 'depthIn']);
		if (typeof numbers === 'string') return void (problem = numbers);
		problem = '';
		const found = {
			date,
			...numbers,
			from,
			...(wetOrManured ? { wetOrManured } : {}),
			...(freshBand ? { freshBand } : {})
		};
		if (await book({ kind: 'nitrate', found })) typed.nitratePpm = '';
	}
</script>

<WalkForm {save} {problem} action="Save the test">
	<div class="fields">
		<DayField label="Day" tall bind:date />
		{#each keysOf(typed) as name (name)}
			<NumberField tall facts={NitrateTestBounds[name]} bind:text={typed[name]} />
		{/each}
		<Select labelText="Taken from" bind:selected={from}>
			<SelectItem value="soil" text="soil" />
			<SelectItem value="leaf" text="leaf" />
		</Select>
	</div>
	<Checkbox labelText="Heavy rain before it, or manured ground" bind:checked={wetOrManured} />
	<Checkbox labelText="A fresh fertilizer band lies in the sampled ground" bind:checked={freshBand} />
</WalkForm>
