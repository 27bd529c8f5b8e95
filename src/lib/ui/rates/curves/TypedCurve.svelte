<!-- A curve whose coefficients are known already. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { responseModel, responseModels } from '$core/rates/nitrogen/response/shapes/models';
	import type { CurveCoefficients, ResponseCurve, ResponseModelName } from '$core/schema-types';
	import { scaledCurve } from '$core/rates/nitrogen/response/shapes/scaled-curve';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { scaleIn } from '../../charts/trial';
	import { numberOrUndefined } from '../../forms/numbers';
	import { keptAmount } from '../../forms/typed-amount';
	import { emptyGround, keepCurve } from './curve-ground';
	import CurveGround from './CurveGround.svelte';
	import { idFrom, MODEL_NAMES } from './curve-text';

	interface Props {
		crops: { id: ResponseCurve['crop']; name: string; yieldUnit: string }[];
		units: UnitSystem;
	}
	const { crops, units }: Props = $props();

	const unit = $derived(unitInSystem('lb/ac', units));

	let fields = $state(emptyGround());
	let cropId = $state<string>('corn-grain');
	let model = $state<ResponseModelName>('quadratic-plateau');
	let coefficients = $state<string[]>(['', '', '']);
	let lowest = $state('0');
	let highest = $state('');
	let basis = $state<'measured' | 'memory' | 'published'>('measured');
	let problem = $state('');
	const shape = $derived(responseModel(model));

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const values = coefficients.map(numberOrUndefined);
		const missing = values.findIndex((value) => value === undefined);
		const yieldUnit = crops.find(({ id }) => id === cropId)?.yieldUnit ?? '';
		const { perRate, perYield } = scaleIn(units, yieldUnit);
		const [lowestRate, highestRate] = [lowest, highest].map((text) => keptAmount(text, undefined, 'lb/ac', units));
		if (missing >= 0)
			return void (problem = `The coefficient ${shape.names[missing]} must be a number; it says “${coefficients[missing]}”.`);
		if (lowestRate === undefined || lowestRate < 0)
			return void (problem = `The lowest tested rate “${lowest}” must be a number of ${unit}, 0 or more.`);
		if (highestRate === undefined)
			return void (problem = `The highest tested rate “${highest}” must be a number of ${unit}.`);
		const named = Object.fromEntries(shape.names.map((name, at) => [name, values[at]!]));
		problem = await keepCurve(fields, {
			crop: cropId as ResponseCurve['crop'],
			curve: scaledCurve(
				{ model, coefficients: named as unknown as CurveCoefficients },
				{ perRate: 1 / perRate, perYield: 1 / perYield }
			),
			lowestRate,
			highestRate,
			basis
		});
		if (problem === '') await goto(`/curves?curve=${idFrom(fields.title)}`);
	}
</script>

<form onsubmit={keep}>
	<div class="fields">
		<Select size="sm" labelText="Crop" bind:selected={cropId}>
			{#each crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<Select size="sm" labelText="Shape" bind:selected={model}>
			{#each responseModels as { name } (name)}<SelectItem value={name} text={MODEL_NAMES[name]} />{/each}
		</Select>
		{#each shape.names as name, at (name)}
			<TextInput size="sm" labelText={name} inputmode="decimal" bind:value={coefficients[at]} />
		{/each}
		<TextInput size="sm" labelText={`Lowest tested, ${unit}`} inputmode="decimal" bind:value={lowest} />
		<TextInput size="sm" labelText={`Highest tested, ${unit}`} inputmode="decimal" bind:value={highest} />
		<Select size="sm" labelText="Its numbers are" bind:selected={basis}>
			<SelectItem value="measured" text="measured by you" />
			<SelectItem value="published" text="published" />
			<SelectItem value="memory" text="published, written from memory" />
		</Select>
	</div>
	<p class="small soft">{shape.formula}; N in {unit}.</p>
	<CurveGround bind:fields />
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div><Button size="small" kind="tertiary" type="submit">Put the typed curve into the library</Button></div>
</form>

<style>
	form {
		display: grid;
		gap: 0.9rem;
	}
</style>
