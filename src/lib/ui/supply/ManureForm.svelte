<!-- A manure with its lab analysis becomes a product that passes can carry. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { ManureAction, ManureHandling, ManureKind } from '$core/schema-types';
	import { ManureActionBounds } from '$core/schema-types/bounds';
	import { firstYearNitrogen } from '$core/supply/manure/available-nitrogen';
	import { numberWithin } from '../forms/number-within';
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
			handling: handling[0]!.id,
			totalN: '',
			ammoniumN: '',
			p2o5: '',
			k2o: '',
			s: '',
			mg: ''
		}))
	);
	let problem = $state('');
	let notice = $state('');
	const kind = $derived(kinds.find(({ id }) => id === form.kind)!);
	const how = $derived(handling.find(({ id }) => id === form.handling)!);
	const FIELDS = [
		{ key: 'totalN', label: 'Total N', needed: true },
		{ key: 'ammoniumN', label: 'Ammonium N (may be left out)', needed: false },
		{ key: 'p2o5', label: 'P2O5', needed: true },
		{ key: 'k2o', label: 'K2O', needed: true },
		{ key: 's', label: 'S (may be left out)', needed: false },
		{ key: 'mg', label: 'Mg (may be left out)', needed: false }
	] as const;

	const available = $derived.by(() => {
		const totalN = numberOrUndefined(form.totalN);
		const ammoniumN = numberOrUndefined(form.ammoniumN);
		if (totalN === undefined || totalN <= 0 || (ammoniumN ?? 0) > totalN) return undefined;
		return firstYearNitrogen({ totalN, ammoniumN, p2o5: 0, k2o: 0 }, kind, how);
	});

	async function keep(): Promise<void> {
		notice = '';
		if (form.name.trim() === '') return void (problem = 'Give the manure a name, such as “Litter, house 2”.');
		const action: Record<string, number | string> = {
			name: form.name.trim(),
			kind: form.kind,
			handling: form.handling
		};
		for (const { key, label, needed } of FIELDS) {
			const text = form[key];
			if (text.trim() === '' && !needed) continue;
			const value = numberWithin(text, ManureActionBounds[key], `${label}:`, `lb/${kind.per}`);
			if (typeof value !== 'number') return void (problem = value ?? `${label}: how many lb/${kind.per}?`);
			action[key] = value;
		}
		problem = await save('POST /api/manure', {}, action as unknown as ManureAction);
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
		{#each FIELDS as { key, label } (key)}
			<TextInput size="sm" labelText={`${label}, lb/${kind.per}`} inputmode="decimal" bind:value={form[key]} />
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
