<!-- How the adviser does each crop on each kind of ground, kept under names and versions. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { HouseProgramme } from '$core/schema-types';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { keysOf } from '$core/check/typed-object';
	import { ProgrammeGroundBounds } from '$core/schema-types/bounds';
	import { call, remove, save } from '$lib/ui/forms/call';
	import { programmeOf, typedProgramme, type TypedProgramme } from '$lib/ui/work/typed-programme';
	import ProgrammeForm from '$lib/ui/work/ProgrammeForm.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Row = PageData['programmes'][number];

	/** The one that is edited: its id, or none for a new one. */
	let editing = $state<{ id?: string; typed: TypedProgramme } | undefined>();
	let problem = $state('');

	const cropNames = (crops: readonly string[]) =>
		crops.map((id) => data.crops.find((crop) => crop.id === id)?.name ?? id).join(', ');
	const methodNames = $derived(new Map(data.methods.map(({ method, name }) => [method, name])));

	/** "CEC from 12, clay". */
	function groundText({ ground }: HouseProgramme): string {
		const bounds = keysOf(ProgrammeGroundBounds).flatMap((bound) =>
			ground[bound] === undefined ? [] : [`${ProgrammeGroundBounds[bound].label} ${ground[bound]}`]
		);
		return [...bounds, ...(ground.textures ?? [])].join(', ') || 'any';
	}

	function edit(programme?: Row): void {
		problem = '';
		editing = {
			...(programme ? { id: programme.id } : {}),
			typed: typedProgramme(data.nutrients, data.units, programme)
		};
	}

	async function saveIt(): Promise<void> {
		if (!editing) return;
		const programme = programmeOf(
			editing.typed,
			data.units,
			data.programmes.find(({ id }) => id === editing?.id)?.rounding
		);
		if ('problem' in programme) return void (problem = programme.problem);
		problem =
			editing.id === undefined
				? ((await call('POST /api/programmes', {}, programme)).problem ?? '')
				: await save('PUT /api/programmes/{programme}', { programme: editing.id }, programme);
		if (!problem) editing = undefined;
	}

	async function removeIt(id: string): Promise<void> {
		problem = await remove('DELETE /api/programmes/{programme}', { programme: id });
	}
</script>

{#snippet nameCell({ name, version, note }: Row)}<strong>{name}</strong>
	<span class="soft small">version {version}</span>{#if note}<div class="small soft">{note}</div>{/if}{/snippet}
{#snippet ratesCell({ rates }: Row)}
	{#each rates as { nutrient, methods, bothYears } (nutrient)}
		<div class="small">
			<strong>{nutrient}</strong>
			{methods.map((method) => methodNames.get(method) ?? `${method} (not in use)`).join(', else ')}{bothYears
				? ', for two crops'
				: ''}
		</div>
	{/each}
{/snippet}
{#snippet fieldsCell({ fields, older }: Row)}{fields}{#if older > 0}<div class="small soft">
			{older} by an older version
		</div>{/if}{/snippet}
{#snippet doCell(row: Row)}
	<button type="button" class="plain" aria-label={`Edit ${row.name}`} onclick={() => edit(row)}>Edit</button>
	<button type="button" class="plain" aria-label={`Delete ${row.name}`} onclick={() => void removeIt(row.id)}
		>Delete</button
	>
{/snippet}

<div class="page">
	<h1>House programmes</h1>
	<p class="soft">
		How you do a crop on a kind of soil. Take one on many fields at once; for each field the first in this list that
		fits its crop and soil is offered. An own rate on a field stays, with its reason.
	</p>
	{#if editing}
		<ProgrammeForm
			bind:typed={editing.typed}
			units={data.units}
			crops={data.crops}
			methods={data.methods}
			products={data.products}
			{problem}
			action={editing.id === undefined ? 'Save the programme' : 'Save as the next version'}
			save={() => void saveIt()}
			cancel={() => (editing = undefined)}
		/>
	{:else}
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		<div class="row bar">
			<Button size="small" onclick={() => edit()}>Write a programme</Button>
			<Button size="small" kind="tertiary" href="/work">Work on many fields</Button>
		</div>
		<ListTable
			label="House programmes"
			rows={data.programmes}
			key={({ id }) => id}
			sortable={false}
			empty="No programme yet. Write down how you do your main crop; the autumn then goes field by field in one go."
			columns={[
				{ name: 'Programme', of: ({ name }) => name, cell: nameCell },
				{ name: 'Crops', of: ({ crops }) => cropNames(crops) },
				{ name: 'Soil', of: groundText },
				{ name: 'Approach by nutrient', cell: ratesCell },
				{ name: `Fields in ${data.year}`, of: ({ fields }) => fields, cell: fieldsCell, number: true },
				{ name: '', cell: doCell }
			]}
		/>
	{/if}
</div>

<style>
	.bar {
		margin-bottom: 0.8rem;
	}
</style>
