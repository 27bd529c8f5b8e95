<!-- The adviser's own rate for one nutrient, with the reason that stands on the sheet. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { onMount, untrack } from 'svelte';
	import { choiceFaults } from '$core/rates/choice-faults';
	import { formatQuantity } from '$core/units/display';
	import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import Severity from '../figure/Severity.svelte';
	import { numberOrUndefined } from '../forms/numbers';
	import { save, type YearAddress } from '../forms/call';

	interface Props {
		row: RatesPage['rows'][number];
		address: YearAddress;
		units: UnitSystem;
		close: () => void;
	}
	const { row, address, units, close }: Props = $props();

	/** The own rate, or the one chosen where its method gives another one now. */
	const before = untrack(() => row.own ?? (row.moved && row.chosen));
	let rate = $state(before?.applies ? String(+before.value.toFixed(2)) : '');
	let reason = $state(untrack(() => row.choice?.reason ?? ''));
	let unit = $state(untrack(() => row.unit));
	let problem = $state('');
	let first = $state<HTMLInputElement | null>(null);

	/** By keys one types at once, and goes on from where one came. */
	onMount(() => {
		const door = document.activeElement;
		first?.focus();
		return () => {
			if (door instanceof HTMLElement && door.isConnected) door.focus();
		};
	});

	/** What was typed for a plant, a length of row or the treated strip, over the whole block. */
	const perArea = $derived(row.typedIn.find((one) => one.unit === unit)?.perArea ?? 1);
	const typed = $derived(numberOrUndefined(rate));
	const faults = $derived(
		typed === undefined
			? []
			: choiceFaults(row.nutrient, valueFromSystem(typed * perArea, row.ownUnit, units), row.facts, units)
	);

	async function keepOwn(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const value = numberOrUndefined(rate);
		if (value === undefined || value < 0) return void (problem = `The rate “${rate}” must be a number, 0 or more.`);
		if (reason.trim().length < 3) return void (problem = 'Say why: the reason stands on the sheet.');
		const ownRate = valueFromSystem(value * perArea, row.ownUnit, units);
		problem = await save('POST /api/fields/{field}/{year}/choices', address, {
			choices: [{ nutrient: row.nutrient, ownRate, reason: reason.trim() }]
		});
		if (problem === '') close();
	}
</script>

<form onsubmit={keepOwn}>
	<TextInput size="sm" labelText={`Rate, ${unit}`} inputmode="decimal" bind:ref={first} bind:value={rate} />
	{#if row.typedIn.length > 0}
		<Select size="sm" labelText="Meant for" bind:selected={unit}>
			<SelectItem value={row.unit} text={row.unit} />
			{#each row.typedIn as one (one.unit)}<SelectItem value={one.unit} text={one.unit} />{/each}
		</Select>
	{/if}
	<div class="because"><TextInput size="sm" labelText="Because" bind:value={reason} /></div>
	<div class="row">
		<Button size="small" type="submit">Save it</Button>
		<Button size="small" kind="ghost" onclick={close}>Cancel</Button>
	</div>
	{#if unit !== row.unit && typed !== undefined}<p class="wide small soft" role="status">
			{formatQuantity(typed, unit)} is {formatQuantity(typed * perArea, row.unit)} over the whole block.
		</p>{/if}
	{#each faults as { severity, text }, at (at)}<p class="wide small" role="status">
			<Severity {severity} />
			{text}
		</p>{/each}
	{#if problem}<div class="wide">
			<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />
		</div>{/if}
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.6rem 1rem;
	}
	form > :global(.bx--form-item) {
		flex: 0 1 10rem;
	}
	.because {
		flex: 1 1 14rem;
		max-width: 28rem;
	}
	.wide {
		flex: 1 0 100%;
		margin: 0;
	}
</style>
