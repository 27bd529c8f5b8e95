<!-- Keeps a typed report: under a source of the book, or a new one. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { WaterKind, WaterReport, WaterSource } from '$core/schema-types';
	import { call, save } from '../forms/call';
	import DayField from '../forms/days/DayField.svelte';

	interface Props {
		sources: readonly WaterSource[];
		today: string;
		/** Undefined while nothing readable is typed. */
		water: WaterReport | undefined;
	}
	const { sources, today, water }: Props = $props();

	const NEW = 'new';
	const KINDS: readonly WaterKind[] = ['well', 'river', 'pond', 'canal', 'other'];
	let source = $state(untrack(() => sources[0]?.id ?? NEW));
	let name = $state('');
	let kind = $state<WaterKind>('well');
	let takenOn = $state(untrack(() => today));
	let lab = $state('');
	let problem = $state('');

	async function keep(): Promise<void> {
		if (!water) return void (problem = 'Type in the report first.');
		let id = source;
		if (id === NEW) {
			if (name.trim() === '') return void (problem = 'Name the source, such as “North well”.');
			const made = await call('POST /api/water-sources', {}, { name: name.trim(), kind });
			if (!made.answer) return void (problem = made.problem);
			id = source = made.answer.id;
		}
		const report = { takenOn, water, ...(lab.trim() === '' ? {} : { lab: lab.trim() }) };
		problem = await save('POST /api/water-sources/{source}/reports', { source: id }, report);
	}
</script>

<h3>Save this report</h3>
<div class="fields">
	<Select size="sm" labelText="Source" bind:selected={source}>
		{#each sources as { id, name: known } (id)}<SelectItem value={id} text={known} />{/each}
		<SelectItem value={NEW} text="a new one" />
	</Select>
	{#if source === NEW}
		<TextInput size="sm" labelText="Name of the source" placeholder="North well" bind:value={name} />
		<Select size="sm" labelText="It is a" bind:selected={kind}>
			{#each KINDS as one (one)}<SelectItem value={one} text={one} />{/each}
		</Select>
	{/if}
	<DayField label="Sampled on" bind:date={takenOn} />
	<TextInput size="sm" labelText="Lab" bind:value={lab} />
</div>
{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
<Button size="small" kind="tertiary" disabled={!water} onclick={keep}>Save the report</Button>

<style>
	.fields {
		margin: 0.6rem 0 0.9rem;
	}
</style>
