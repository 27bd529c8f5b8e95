<!-- What was harvested of the second crop of a year. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { quantityIn } from '$core/units/amount-text';
	import { SecondCropBounds } from '$core/schema-types/bounds';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { BookPage } from '$lib/server/pages/book-page';
	import { save, type YearAddress } from '../forms/call';
	import NumberField from '../forms/NumberField.svelte';
	import { factsIn } from '../forms/number-within';
	import { keptNumber, typedAmount } from '../forms/typed-amount';

	interface Props {
		address: YearAddress;
		second: NonNullable<BookPage['second']>;
		units: UnitSystem;
	}
	const { address, second, units }: Props = $props();
	const planted = $derived(second.planted);
	let harvest = $derived(typedAmount(planted.harvestedYield, second.unit, units));
	const facts = $derived({ ...SecondCropBounds.harvestedYield, label: `${second.name} harvested` });
	let problem = $state('');

	async function submit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const { harvestedYield, ...standing } = planted;
		const yielded = keptNumber(harvest, harvestedYield, facts, second.unit, units);
		if (typeof yielded === 'string') return void (problem = yielded);
		const secondCrop = yielded === undefined ? standing : { ...standing, harvestedYield: yielded };
		problem = await save('PUT /api/fields/{field}/{year}/second-crop', address, { secondCrop });
	}
</script>

{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
<form class="row" onsubmit={submit}>
	<p class="goal">Then {second.name.toLowerCase()}, goal {quantityIn(units, planted.yieldGoal, second.unit)}.</p>
	<div class="yield">
		<NumberField facts={factsIn(facts, second.unit, units)} bind:text={harvest} />
	</div>
	<Button size="small" kind="tertiary" type="submit">Save its harvest</Button>
</form>

<style>
	form {
		margin-top: 0.6rem;
	}
	.goal {
		margin: 0;
		align-self: center;
	}
	.yield {
		width: 11rem;
	}
</style>
