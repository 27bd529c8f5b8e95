<!-- A new trial: a question that is asked often, a field, and the plan, which is then laid out and drawn. -->
<script lang="ts">
	import { ComboBox, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { call } from '$lib/ui/forms/call';
	import TrialForm from '$lib/ui/trials/TrialForm.svelte';
	import { readTyped, typedFromPreset } from '$lib/ui/trials/typed-trial';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	let presetId = $state(untrack(() => data.presets[0]!.id));
	let fieldId = $state(untrack(() => page.url.searchParams.get('field') ?? data.fields[0]?.id ?? ''));
	let year = $state(untrack(() => String(data.year)));
	let problem = $state('');
	const field = $derived(data.fields.find(({ id }) => id === fieldId));
	const units = $derived(field?.units ?? data.units);
	let typed = $state(untrack(() => start()));

	function start() {
		const preset = data.presets.find(({ id }) => id === presetId)!;
		const heading = data.fields.find(({ id }) => id === fieldId)?.heading ?? 0;
		return typedFromPreset(preset, heading, 1 + Math.floor(Math.random() * 99_999), units);
	}

	function ask(id: string): void {
		presetId = id;
		typed = start();
	}

	function choose(id: string | undefined): void {
		if (id === undefined) return;
		fieldId = id;
		typed.heading = String(field?.heading ?? 0);
	}

	async function layOut(): Promise<void> {
		const plan = readTyped(typed, units);
		if (typeof plan === 'string') return void (problem = plan);
		const address = { field: fieldId, year: Number(year) };
		const outcome = await call('POST /api/fields/{field}/{year}/trials', address, { plan });
		problem = outcome.problem ?? '';
		if (outcome.answer) await goto(`/trials/${outcome.answer.id}`);
	}
</script>

<div class="page">
	<h1>Lay out a trial</h1>
	{#if data.fields.length === 0}
		<InlineNotification
			kind="info"
			lowContrast
			hideCloseButton
			title="No field has a boundary yet."
			subtitle="Draw one under Map and zones of a field; plots are laid out inside it."
		/>
	{:else}
		<TrialForm
			bind:typed
			{units}
			{problem}
			action="Lay it out"
			save={() => void layOut()}
			cancel={() => void goto('/trials')}
		>
			{#snippet before()}
				<Select
					size="sm"
					labelText="What do you want to know?"
					selected={presetId}
					on:update={({ detail }) => ask(String(detail))}
				>
					{#each data.presets as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<ComboBox
					size="sm"
					labelText="Field"
					items={data.fields.map(({ id, name, grower }) => ({ id, text: `${name}, ${grower}` }))}
					selectedId={fieldId}
					shouldFilterItem={(item, text) => (item.text ?? '').toLowerCase().includes(text.toLowerCase())}
					on:select={({ detail }) => choose(detail.selectedId === undefined ? undefined : String(detail.selectedId))}
				/>
				<TextInput size="sm" labelText="Year" inputmode="numeric" bind:value={year} />
			{/snippet}
		</TrialForm>
	{/if}
</div>
