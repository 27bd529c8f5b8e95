<!-- When most of the nitrogen goes on, and what else brings some: the credits that guides may take. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { NitrogenTerms } from '$core/schema-types';
	import { NitrogenTermsBounds } from '$core/schema-types/bounds';
	import { keysOf } from '$core/check/typed-object';
	import type { UnitSystem } from '$core/units/rate-units';
	import NumberField from '../../forms/NumberField.svelte';
	import { factsIn } from '../../forms/number-within';
	import { keptNumber, typedAmount } from '../../forms/typed-amount';
	import { save, type YearAddress } from '../../forms/call';
	import DayField from '../../forms/days/DayField.svelte';

	interface Props {
		terms: NitrogenTerms;
		address: YearAddress;
		units: UnitSystem;
	}
	const { terms, address, units }: Props = $props();

	/** In which unit of the book each is kept. */
	const KEPT_IN = {
		manureN: 'lb/ac',
		earlierManureN: 'lb/ac',
		starterN: 'lb/ac',
		irrigationIn: 'in',
		irrigationNitratePpm: 'ppm'
	} as const;
	type Key = keyof typeof KEPT_IN;

	let timing = $state<string>(untrack(() => terms.timing ?? ''));
	let fields = $state<Record<Key, string>>(untrack(start));
	let coverKilledOn = $state(untrack(() => terms.coverKilledOn ?? ''));
	let problem = $state('');

	function start(): Record<Key, string> {
		const shown = (key: Key) => typedAmount(terms[key], KEPT_IN[key], units);
		return {
			manureN: shown('manureN'),
			earlierManureN: shown('earlierManureN'),
			starterN: shown('starterN'),
			irrigationIn: shown('irrigationIn'),
			irrigationNitratePpm: shown('irrigationNitratePpm')
		};
	}

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const next: NitrogenTerms = {
			...(terms.objective ? { objective: terms.objective } : {}),
			...(terms.toleranceDollars === undefined ? {} : { toleranceDollars: terms.toleranceDollars }),
			...(coverKilledOn === '' ? {} : { coverKilledOn }),
			...(timing === '' ? {} : { timing: timing as NonNullable<NitrogenTerms['timing']> })
		};
		for (const key of keysOf(KEPT_IN)) {
			const value = keptNumber(fields[key], terms[key], NitrogenTermsBounds[key], KEPT_IN[key], units);
			if (typeof value === 'string') return void (problem = value);
			if (value !== undefined) next[key] = value;
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
		{#each keysOf(KEPT_IN) as key (key)}
			<NumberField facts={factsIn(NitrogenTermsBounds[key], KEPT_IN[key], units)} bind:text={fields[key]} />
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
