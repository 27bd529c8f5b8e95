<!-- When most of the nitrogen goes on, and what else brings some: the credits that guides may take. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { NitrogenTerms } from '$core/schema-types';
	import { unitInSystem, valueFromSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { numberOrUndefined } from '../../forms/numbers';
	import { save, type YearAddress } from '../../forms/call';
	import DayField from '../../forms/days/DayField.svelte';

	interface Props {
		terms: NitrogenTerms;
		address: YearAddress;
		units: UnitSystem;
	}
	const { terms, address, units }: Props = $props();

	const POUNDS = [
		{ key: 'manureN', label: 'From manure of this year' },
		{ key: 'earlierManureN', label: 'From manure of earlier years' },
		{ key: 'starterN', label: 'In a starter outside this plan' }
	] as const;
	const WATER = [
		{ key: 'irrigationIn', label: 'Irrigation, in of water', most: 100 },
		{ key: 'irrigationNitratePpm', label: 'Nitrate-N in that water, ppm', most: 1000 }
	] as const;
	const unit = $derived(unitInSystem('lb/ac', units));

	type Key = (typeof POUNDS)[number]['key'] | (typeof WATER)[number]['key'];
	let timing = $state<string>(untrack(() => terms.timing ?? ''));
	let fields = $state<Record<Key, string>>(untrack(start));
	let coverKilledOn = $state(untrack(() => terms.coverKilledOn ?? ''));
	let problem = $state('');

	function start(): Record<Key, string> {
		const shown = (key: Key, us: string) => {
			const value = terms[key];
			return value === undefined ? '' : String(+valueInSystem(value, us, units).toFixed(2));
		};
		return {
			manureN: shown('manureN', 'lb/ac'),
			earlierManureN: shown('earlierManureN', 'lb/ac'),
			starterN: shown('starterN', 'lb/ac'),
			irrigationIn: shown('irrigationIn', 'in'),
			irrigationNitratePpm: shown('irrigationNitratePpm', 'ppm')
		};
	}

	/** What a field holds in US units; a sentence where it cannot be read. */
	function read({ key, label }: { key: Key; label: string }, us: string, most: number): number | string | undefined {
		const text = fields[key];
		if (text.trim() === '') return undefined;
		const value = numberOrUndefined(text);
		const pounds = value === undefined ? NaN : valueFromSystem(value, us, units);
		return pounds >= 0 && pounds <= most ? pounds : `“${label}” must be a number from 0 to ${most}; it says “${text}”.`;
	}

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const next: NitrogenTerms = {
			...(terms.objective ? { objective: terms.objective } : {}),
			...(terms.toleranceDollars === undefined ? {} : { toleranceDollars: terms.toleranceDollars }),
			...(coverKilledOn === '' ? {} : { coverKilledOn }),
			...(timing === '' ? {} : { timing: timing as NonNullable<NitrogenTerms['timing']> })
		};
		for (const [field, us, most] of [
			...POUNDS.map((field) => [field, 'lb/ac', 1000] as const),
			...WATER.map((field) => [field, '', field.most] as const)
		]) {
			const value = read(field, us, most);
			if (typeof value === 'string') return void (problem = value);
			if (value !== undefined) next[field.key] = value;
		}
		problem = await save('PUT /api/fields/{field}/{year}/nitrogen', address, next);
	}
</script>

<form onsubmit={keep}>
	<div class="fields">
		<Select size="sm" labelText="Most of it goes on" bind:selected={timing}>
			<SelectItem value="" text="not said: as spring" />
			<SelectItem value="autumn" text="in autumn" />
			<SelectItem value="spring" text="in spring" />
			<SelectItem value="split" text="split, most in the crop" />
		</Select>
		{#each POUNDS as { key, label } (key)}
			<TextInput size="sm" labelText={`${label}, ${unit} N`} inputmode="decimal" bind:value={fields[key]} />
		{/each}
		{#each WATER as { key, label } (key)}
			<TextInput size="sm" labelText={label} inputmode="decimal" bind:value={fields[key]} />
		{/each}
		<DayField label="Cereal cover crop killed on" bind:date={coverKilledOn} />
	</div>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div class="row">
		<Button size="small" kind="tertiary" type="submit">Save these credits</Button>
		<span class="soft small">Each guide takes only the credits it allows; each is a line on its worksheet.</span>
	</div>
</form>

<style>
	form {
		display: grid;
		gap: 0.8rem;
	}
	.row {
		align-items: center;
		gap: 0.9rem;
	}
</style>
