<!-- A nitrate test in the crop. -->
<script lang="ts">
	import { Checkbox, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropTestAction } from '$core/schema-types';
	import { keysOf } from '$core/check/typed-object';
	import { NitrateTestBounds } from '$core/schema-types/bounds';
	import DayField from '../forms/days/DayField.svelte';
	import type { UnitSystem } from '$core/units/rate-units';
	import { factsIn } from '../forms/number-within';
	import { keptNumbers, typedAmount } from '../forms/typed-amount';
	import NumberField from '../forms/NumberField.svelte';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		today: string;
		units: UnitSystem;
		book: (test: CropTestAction) => Promise<boolean>;
	}
	const { today, units, book }: Props = $props();
	let date = $state(untrack(() => today));
	/** As deep as the test is made for, in. */
	const USUAL_DEPTH_IN = 12;
	let typed = $state({
		nitratePpm: '',
		depthIn: untrack(() => typedAmount(USUAL_DEPTH_IN, 'in', units)),
		cropHeightIn: ''
	});
	let from = $state<'soil' | 'leaf'>('soil');
	let wetOrManured = $state(false);
	let freshBand = $state(false);
	let problem = $state('');

	async function save(): Promise<void> {
		const numbers = keptNumbers(typed, { depthIn: USUAL_DEPTH_IN }, NitrateTestBounds, units);
		if (typeof numbers === 'string') return void (problem = numbers);
		const { nitratePpm, depthIn } = numbers;
		if (nitratePpm === undefined || depthIn === undefined) {
			const missing = nitratePpm === undefined ? NitrateTestBounds.nitratePpm : NitrateTestBounds.depthIn;
			return void (problem = `${missing.label} is not filled in.`);
		}
		problem = '';
		const found = {
			date,
			...numbers,
			nitratePpm,
			depthIn,
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
			<NumberField
				tall
				facts={factsIn(NitrateTestBounds[name], NitrateTestBounds[name].unit, units)}
				bind:text={typed[name]}
			/>
		{/each}
		<Select labelText="Taken from" bind:selected={from}>
			<SelectItem value="soil" text="soil" />
			<SelectItem value="leaf" text="leaf" />
		</Select>
	</div>
	<Checkbox labelText="Heavy rain before it, or manured ground" bind:checked={wetOrManured} />
	<Checkbox labelText="A fresh fertilizer band lies in the sampled ground" bind:checked={freshBand} />
</WalkForm>
