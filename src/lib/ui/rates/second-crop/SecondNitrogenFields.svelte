<!-- The nitrogen of a second crop: by an approach that gives it a rate, or by own judgement with the reason. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { SecondNitrogenBounds } from '$core/schema-types/bounds';
	import { formatQuantity } from '$core/units/display';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import NumberField from '../../forms/NumberField.svelte';
	import { factsIn } from '../../forms/number-within';
	import { OWN_RATE } from './second-nitrogen';

	interface Props {
		name: string;
		rates: RatesPage['second']['rates'];
		units: UnitSystem;
		method: string;
		ownRate: string;
		reason: string;
	}
	let { name, rates, units, method = $bindable(), ownRate = $bindable(), reason = $bindable() }: Props = $props();

	const facts = SecondNitrogenBounds.ownRate;
	const offered = $derived(
		rates.flatMap(({ nutrient, method, school, title, answer }) =>
			nutrient === 'N' && answer.applies
				? [{ method, text: `${formatQuantity(answer.value, answer.unit)}: ${school}, ${title}` }]
				: []
		)
	);
</script>

<div class="choice">
	<Select size="sm" labelText={`Nitrogen for ${name}`} bind:selected={method}>
		<SelectItem value="" text="not chosen" />
		{#each offered as rate (rate.method)}<SelectItem value={rate.method} text={rate.text} />{/each}
		<SelectItem value={OWN_RATE} text="own rate" />
	</Select>
</div>
{#if method === OWN_RATE}
	<div class="fields">
		<NumberField facts={factsIn(facts, facts.unit, units)} bind:text={ownRate} />
		<TextInput size="sm" labelText="Because" bind:value={reason} />
	</div>
{/if}

<style>
	/* An approach stands with its rate and its guide. */
	.choice {
		max-width: 32rem;
	}
</style>
