<!-- The adviser's own rate for one nutrient, with the reason that stands on the sheet. -->
<script lang="ts">
	import { Button, InlineNotification, TextInput } from 'carbon-components-svelte';
	import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { numberOrUndefined } from '../forms/numbers';
	import Quantity from '../figure/Quantity.svelte';
	import { save, type YearAddress } from '../forms/call';

	const { row, address, units }: { row: RatesPage['rows'][number]; address: YearAddress; units: UnitSystem } = $props();

	let writing = $state(false);
	let rate = $state('');
	let reason = $state('');
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
		if (problem === '') writing = false;
	}

	function write(): void {
		rate = row.own?.applies ? String(+row.own.value.toFixed(2)) : '';
		reason = row.choice?.reason ?? '';
		writing = true;
	}
</script>

<div class="cell own" class:chosen={row.own !== undefined}>
	<div class="school">Your own</div>
	{#if writing}
		<form onsubmit={keepOwn}>
			<TextInput size="sm" labelText={`Rate, ${row.unit}`} inputmode="decimal" bind:value={rate} />
			<TextInput size="sm" labelText="Because" bind:value={reason} />
			{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
			<div class="row">
				<Button size="small" type="submit">Keep it</Button>
				<Button size="small" kind="ghost" onclick={() => (writing = false)}>Cancel</Button>
			</div>
		</form>
	{:else if row.own?.applies}
		<div class="rate"><Quantity answer={row.own} bare label={`${row.name}, your own`} /></div>
		<div class="small soft">because: {row.choice?.reason}</div>
		<div class="pick">
			<span class="mark">✓ chosen</span>
			<button type="button" class="plain" onclick={write}>Change</button>
		</div>
	{:else}
		<button type="button" class="plain" onclick={write}>Write a rate</button>
	{/if}
</div>

<style>
	.cell {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.6rem 0.8rem 0.7rem;
		display: flex;
		flex-direction: column;
		gap: 0.15rem;
	}
	.chosen {
		border: 2px solid var(--action);
		background: var(--action-wash);
		padding: calc(0.6rem - 1px) calc(0.8rem - 1px) calc(0.7rem - 1px);
	}
	.own:not(.chosen) {
		background: transparent;
	}
	.school {
		font-weight: 600;
		font-size: 0.88rem;
	}
	.rate {
		font-size: 1.5rem;
		font-weight: 650;
		line-height: 1.25;
	}
	.pick {
		margin-top: auto;
		padding-top: 0.3rem;
		display: flex;
		gap: 1rem;
	}
	.mark {
		color: var(--action);
		font-weight: 650;
	}
	.cell > button {
		align-self: start;
	}
	form {
		display: grid;
		gap: 0.6rem;
	}
</style>
