<!-- A manure with its lab analysis becomes a product that passes can carry. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { ManureHandling, ManureKind } from '$core/schema-types';
	import { ManureActionBounds } from '$core/schema-types/bounds';
	import { firstYearNitrogen } from '$core/supply/manure/available-nitrogen';
	import { keysOf } from '$core/check/typed-object';
	import type { UnitSystem } from '$core/units/rate-units';
	import { factsIn, type NumberFacts } from '../forms/number-within';
	import { keptAmount, keptNumbers } from '../forms/typed-amount';
	import NumberField from '../forms/NumberField.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import { save } from '../forms/call';

	interface Props {
		units: UnitSystem;
		kinds: readonly ManureKind[];
		handling: readonly ManureHandling[];
	}
	const { units, kinds, handling }: Props = $props();

	let form = $state(
		untrack(() => ({
			name: '',
			kind: kinds[0]!.id,
			handling: handling[0]!.id
		}))
	);
	let typed = $state({ totalN: '', ammoniumN: '', p2o5: '', k2o: '', s: '', mg: '' });
	let problem = $state('');
	let notice = $state('');
	const kind = $derived(kinds.find(({ id }) => id === form.kind)!);
	const how = $derived(handling.find(({ id }) => id === form.handling)!);
	const unit = $derived(`lb/${kind.per}`);
	const facts = $derived(
		Object.fromEntries(keysOf(typed).map((name) => [name, { ...ManureActionBounds[name], unit }])) as Record<
			keyof typeof typed,
			NumberFacts & { unit: string }
		>
	);
	const NEEDED = ['totalN', 'p2o5', 'k2o'] as const;

	const available = $derived.by(() => {
		const totalN = keptAmount(typed.totalN, undefined, unit, units);
		const ammoniumN = keptAmount(typed.ammoniumN, undefined, unit, units);
		if (totalN === undefined || totalN <= 0 || (ammoniumN ?? 0) > totalN) return undefined;
		return firstYearNitrogen({ totalN, ammoniumN, p2o5: 0, k2o: 0 }, kind, how);
	});

	async function keep(): Promise<void> {
		notice = '';
		if (form.name.trim() === '') return void (problem = 'Give the manure a name, such as “Litter, house 2”.');
		const numbers = keptNumbers(typed, {}, facts, units);
		if (typeof numbers === 'string') return void (problem = numbers);
		const [totalN, p2o5, k2o] = NEEDED.map((name) => numbers[name]);
		if (totalN === undefined || p2o5 === undefined || k2o === undefined) {
			const missing = NEEDED.find((name) => numbers[name] === undefined)!;
			return void (problem = `${facts[missing].label} is not filled in.`);
		}
		problem = await save('POST /api/manure', {}, { ...form, name: form.name.trim(), ...numbers, totalN, p2o5, k2o });
		if (!problem) notice = `${form.name.trim()} is in the catalogue; put it on as a pass under Season.`;
	}
</script>

<section class="section" aria-label="Manure">
	<h2>A manure or residue with its analysis</h2>
	<div class="fields">
		<TextInput size="sm" labelText="Name" bind:value={form.name} />
		<Select size="sm" labelText="Kind" bind:selected={form.kind}>
			{#each kinds as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<Select size="sm" labelText="How it goes on" bind:selected={form.handling}>
			{#each handling as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		{#each keysOf(typed) as name (name)}
			<NumberField facts={factsIn(facts[name], unit, units)} bind:text={typed[name]} />
		{/each}
	</div>
	{#if available}
		<p>The crop gets <Quantity answer={available} /> of its nitrogen this year.</p>
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<Button size="small" onclick={keep}>Save to the catalogue</Button>
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.8rem 1.2rem;
		max-width: 64rem;
		margin-bottom: 0.8rem;
	}
</style>
