<!-- Price and costs of a trial: what a unit of yield sells for, what each treatment costs, and the weather in a line. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { TrialPlan } from '$core/schema-types';
	import { treatmentNames } from '$core/trials/design/treatments';
	import { numberOrUndefined } from '../forms/numbers';
	import { save } from '../forms/call';

	interface Props {
		trialId: string;
		plan: TrialPlan;
		/** What a unit of yield is. */
		yieldUnit: string;
		/** Known today, to start from. */
		price: number | undefined;
		costs: Readonly<Record<string, number>>;
		close: () => void;
	}
	const { trialId, plan, yieldUnit, price, costs, close }: Props = $props();

	const names = $derived(treatmentNames(plan));
	let grain = $state(untrack(() => String(plan.price ?? price ?? '')));
	let typed = $state<Record<string, string>>(
		untrack(() => Object.fromEntries(names.map((name) => [name, String(plan.costs?.[name] ?? costs[name] ?? '')])))
	);
	let weather = $state(untrack(() => plan.weather ?? ''));
	let problem = $state('');

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const read = names.map((name) => [name, typed[name] ?? '', numberOrUndefined(typed[name] ?? '')] as const);
		const wrong = [['the price', grain, numberOrUndefined(grain)] as const, ...read].find(
			([, text, value]) => text.trim() !== '' && value === undefined
		);
		if (wrong) return void (problem = `The cost or price of ${wrong[0]} must be a number; got “${wrong[1]}”.`);
		const sold = numberOrUndefined(grain);
		const known = read.flatMap(([name, , value]) => (value === undefined ? [] : [[name, value] as const]));
		const changed: TrialPlan = {
			...plan,
			weather: weather.trim(),
			costs: Object.fromEntries(known),
			...(sold === undefined ? {} : { price: sold })
		};
		problem = await save('PUT /api/trials/{trial}', { trial: trialId }, { plan: changed });
		if (!problem) close();
	}
</script>

<form onsubmit={keep} aria-label="Price and costs">
	<div class="fields">
		<TextInput size="sm" labelText={`Price, $ per ${yieldUnit.split('/')[0]}`} inputmode="decimal" bind:value={grain} />
		{#each names as name, at (at)}
			<TextInput
				size="sm"
				labelText={`Cost of ${name}, $/ac`}
				inputmode="decimal"
				bind:value={() => typed[name] ?? '', (text) => (typed[name] = text)}
			/>
		{/each}
		<TextInput size="sm" labelText="Weather of the season, in a line" maxlength={200} bind:value={weather} />
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="row">
		<Button size="small" type="submit">Save price and costs</Button>
		<Button size="small" kind="ghost" onclick={close}>Cancel</Button>
	</div>
</form>

<style>
	form {
		display: grid;
		gap: 0.8rem;
		margin-bottom: 1rem;
	}
</style>
