<!-- What was harvested of the second crop of a year. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { quantityIn } from '$core/units/amount-text';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import type { BookPage } from '$lib/server/pages/book-page';
	import { save, type YearAddress } from '../forms/call';
	import { keptAmount, typedAmount } from '../forms/typed-amount';

	interface Props {
		address: YearAddress;
		second: NonNullable<BookPage['second']>;
		units: UnitSystem;
	}
	const { address, second, units }: Props = $props();
	const planted = $derived(second.planted);
	let harvest = $derived(typedAmount(planted.harvestedYield, second.unit, units));
	let problem = $state('');

	async function submit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const { harvestedYield, ...standing } = planted;
		const empty = harvest.trim() === '';
		const yielded = empty ? undefined : keptAmount(harvest, harvestedYield, second.unit, units);
		if (!empty && (yielded === undefined || yielded < 0)) return void (problem = `“${harvest}” is no yield.`);
		const secondCrop = yielded === undefined ? standing : { ...standing, harvestedYield: yielded };
		problem = await save('PUT /api/fields/{field}/{year}/second-crop', address, { secondCrop });
	}
</script>

{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
<form class="row" onsubmit={submit}>
	<p class="goal">Then {second.name.toLowerCase()}, goal {quantityIn(units, planted.yieldGoal, second.unit)}.</p>
	<div class="yield">
		<TextInput
			size="sm"
			labelText={`${second.name} harvested, ${unitInSystem(second.unit, units)}`}
			inputmode="decimal"
			bind:value={harvest}
		/>
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
