<!-- A nitrate test in the crop. -->
<script lang="ts">
	import { Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropTestAction } from '$core/schema-types';
	import { numberOrUndefined } from '../forms/numbers';
	import DayField from '../forms/days/DayField.svelte';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		today: string;
		book: (test: CropTestAction) => Promise<boolean>;
	}
	const { today, book }: Props = $props();
	let date = $state(untrack(() => today));
	let ppm = $state('');
	let depth = $state('12');
	let height = $state('');
	let from = $state<'soil' | 'leaf'>('soil');
	let wetOrManured = $state(false);
	let freshBand = $state(false);
	let problem = $state('');

	async function save(): Promise<void> {
		const nitratePpm = numberOrUndefined(ppm);
		const depthIn = numberOrUndefined(depth);
		const cropHeightIn = numberOrUndefined(height);
		if (nitratePpm === undefined || nitratePpm < 0)
			return void (problem = `The nitrate “${ppm}” must be a number of ppm, 0 or more.`);
		if (!(depthIn && depthIn > 0 && depthIn <= 48))
			return void (problem = `The depth “${depth}” must be a number of inches up to 48.`);
		if (height.trim() !== '' && !(cropHeightIn !== undefined && cropHeightIn >= 0 && cropHeightIn <= 200))
			return void (problem = `The height “${height}” must be a number of inches up to 200.`);
		problem = '';
		const found = {
			date,
			nitratePpm,
			depthIn,
			from,
			...(cropHeightIn === undefined ? {} : { cropHeightIn }),
			...(wetOrManured ? { wetOrManured } : {}),
			...(freshBand ? { freshBand } : {})
		};
		if (await book({ kind: 'nitrate', found })) ppm = '';
	}
</script>

<WalkForm {save} {problem} action="Save the test">
	<div class="fields">
		<DayField label="Day" tall bind:date />
		<TextInput labelText="Nitrate-N, ppm" inputmode="decimal" bind:value={ppm} />
		<TextInput labelText="Sampled to, in" inputmode="decimal" bind:value={depth} />
		<TextInput labelText="Height of the crop, in" inputmode="decimal" bind:value={height} />
		<Select labelText="Taken from" bind:selected={from}>
			<SelectItem value="soil" text="soil" />
			<SelectItem value="leaf" text="leaf" />
		</Select>
	</div>
	<Checkbox labelText="Heavy rain before it, or manured ground" bind:checked={wetOrManured} />
	<Checkbox labelText="A fresh fertilizer band lies in the sampled ground" bind:checked={freshBand} />
</WalkForm>
