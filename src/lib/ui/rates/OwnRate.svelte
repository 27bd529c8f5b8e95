<!-- The adviser's own rate for one nutrient, with the reason that stands on the sheet. -->
<script lang="ts">
	import { Button, InlineNotification, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { numberOrUndefined } from '../forms/numbers';
	import { save, type YearAddress } from '../forms/call';

	interface Props {
		row: RatesPage['rows'][number];
		address: YearAddress;
		units: UnitSystem;
		close: () => void;
	}
	const { row, address, units, close }: Props = $props();

	let rate = $state(untrack(() => (row.own?.applies ? String(+row.own.value.toFixed(2)) : '')));
	let reason = $state(untrack(() => row.choice?.reason ?? ''));
	let problem = $state('');

	async function keepOwn(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const value = numberOrUndefined(rate);
		if (value === undefined || value < 0) return void (problem = `The rate “${rate}” must be a number, 0 or more.`);
		if (reason.trim().length < 3) return void (problem = 'Say why: the reason stands on the sheet.');
		const ownRate = valueFromSystem(value, row.ownUnit, units);
		problem = await save('POST /api/fields/{field}/{year}/choices', address, {
			choices: [{ nutrient: row.nutrient, ownRate, reason: reason.trim() }]
		});
		if (problem === '') close();
	}
</script>

<form onsubmit={keepOwn}>
	<TextInput size="sm" labelText={`Rate, ${row.unit}`} inputmode="decimal" bind:value={rate} />
	<TextInput size="sm" labelText="Because" bind:value={reason} />
	<div class="row">
		<Button size="small" type="submit">Save it</Button>
		<Button size="small" kind="ghost" onclick={close}>Cancel</Button>
	</div>
	{#if problem}<div class="wide">
			<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />
		</div>{/if}
</form>

<style>
	form {
		display: grid;
		grid-template-columns: 9rem minmax(12rem, 28rem) auto;
		align-items: end;
		justify-content: start;
		gap: 0.6rem 1rem;
	}
	.wide {
		grid-column: 1 / -1;
	}
	@media (max-width: 640px) {
		form {
			grid-template-columns: 1fr;
		}
	}
</style>
