<!-- A manure with its lab analysis becomes a product that passes can carry. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { ManureHandling, ManureKind } from '$core/schema-types';
	import { ManureActionBounds } from '$core/schema-types/bounds';
	import { firstYearNitrogen } from '$core/supply/manure/available-nitrogen';
	import { keysOf } from '$core/check/typed-object';
	import { typedNumbers } from '../forms/number-within';
	import NumberField from '../forms/NumberField.svelte';
	import { numberOrUndefined } from '../forms/numbers';
	import Quantity from '../figure/Quantity.svelte';
	import { save } from '../forms/call';

	interface Props {
		kinds: readonly ManureKind[];
		handling: readonly ManureHandling[];
	}
	const { kinds, handling }: Props = $props();

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
	const NEEDED = ['totalN', 'p2o5', 'k2o'] as const;

	const available = $derived.by(() => {
		const totalN = numberOrUndefined(typed.totalN);
		const ammoniumN = numberOrUndefined(typed.ammoniumN);
		if (totalN === undefined || totalN <= 0 || (ammoniumN ?? 0) > totalN) return undefined;
		return firstYearNitrogen({ totalN, ammoniumN, p2o5: 0, k2o: 0 }, kind, how);
	});

	async function keep(): Promise<void> {
		notice = '';
		if (form.name.trim() === '') return void (problem = 'Give the manure a name, such as “Litter, house 2”.');
		const numbers = typedNumbers(typed, ManureActionBounds, NEEDED, unit);
		if (typeof numbers === 'string') return void (problem = numbers);
		problem = await save('POST /api/manure', {}, { ...form, name: form.name.trim(), ...numbers });
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
			<NumberField facts={ManureActionBounds[name]} {unit} bind:text={typed[name]} />
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
