<!-- Puts one of the fitted curves into the library. -->
<script lang="ts">
	import { Button, Checkbox, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import type { FitAnswer, Observation, ResponseCurve } from '$core/schema-types';
	import { emptyGround, keepCurve } from './curve-ground';
	import CurveGround from './CurveGround.svelte';
	import { idFrom, MODEL_NAMES } from './curve-text';

	interface Props {
		answer: FitAnswer;
		observations: Observation[];
		/** Price of nitrogen over price of the crop at which the interval was made. */
		ratio: number;
		crop: { id: ResponseCurve['crop'] };
		/** Where the plots come from, where it is known. */
		source: string;
	}
	const { answer, observations, ratio, crop, source }: Props = $props();

	let model = $state<string>(untrack(() => answer.best ?? ''));
	let fields = $state(untrack(() => ({ ...emptyGround(), source })));
	let simulated = $state(false);
	let problem = $state('');

	/** The interval belongs to the shape it was made with. */
	const interval = $derived(
		answer.eonrInterval && model === answer.best
			? { priceRatio: ratio, low: answer.eonrInterval[0]!, high: answer.eonrInterval[1]!, level: 0.9 }
			: undefined
	);

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const fit = answer.fits.find((one) => one.model === model)!;
		problem = await keepCurve(fields, {
			crop: crop.id,
			curve: { model: fit.model, coefficients: fit.coefficients! },
			lowestRate: answer.tested.lowest,
			highestRate: answer.tested.highest,
			...(interval ? { eonrInterval: interval } : {}),
			basis: 'measured',
			observations,
			...(simulated ? { simulated } : {})
		});
		if (problem === '') await goto(`/curves?curve=${idFrom(fields.title)}`);
	}
</script>

<form class="section" onsubmit={keep}>
	<h2>Put it into the library</h2>
	<div class="shape">
		<Select size="sm" labelText="Shape" bind:selected={model}>
			{#each answer.fits.filter(({ coefficients }) => coefficients !== null) as fit (fit.model)}
				<SelectItem value={fit.model} text={MODEL_NAMES[fit.model]} />
			{/each}
		</Select>
	</div>
	<CurveGround bind:fields />
	<Checkbox labelText="Simulated, not measured" bind:checked={simulated} />
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div><Button size="small" type="submit">Save the curve to the library</Button></div>
</form>

<style>
	form {
		display: grid;
		gap: 0.9rem;
	}
	.shape {
		max-width: 16rem;
	}
</style>
