<script lang="ts">
	import Mark from '$lib/ui/figure/Mark.svelte';
	import { Button, InlineNotification, TextInput } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { untrack } from 'svelte';
	import { applyMapping } from '$core/ground/lab-file/guess-mapping';
	import type { LabDraft } from '$core/schema-types';
	import ColumnMeanings from '$lib/ui/ground/import/ColumnMeanings.svelte';
	import LabRows from '$lib/ui/ground/import/LabRows.svelte';
	import Outcomes from '$lib/ui/ground/import/Outcomes.svelte';
	import { remove, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const SAVE_AFTER_MS = 250;

	let draft = $state<LabDraft>(untrack(() => structuredClone(data.draft)));
	let problem = $state('');
	let saving: ReturnType<typeof setTimeout> | undefined;

	const count = $derived(data.preview?.count ?? { all: 0, imported: 0, leftOut: 0, undecided: 0 });
	const blocked = $derived(
		(data.preview?.mappingProblems.length ?? 0) > 0 || count.undecided > 0 || count.imported === 0
	);

	const remembered = $derived.by(() => {
		const known = data.labs.find(({ lab }) => lab.toLowerCase() === draft.lab.trim().toLowerCase());
		if (!known) return undefined;
		const mapping = applyMapping(
			draft.mapping.columns.map(({ header }) => header),
			known.mapping
		);
		return JSON.stringify(mapping) === JSON.stringify($state.snapshot(draft.mapping)) ? undefined : mapping;
	});

	function useRemembered(): void {
		if (remembered) draft.mapping = remembered;
		changed();
	}

	/** Every decision is kept on the server at once, so that a reload loses nothing. */
	function changed(): void {
		clearTimeout(saving);
		saving = setTimeout(() => void saveDraft(), SAVE_AFTER_MS);
	}

	async function saveDraft(): Promise<void> {
		clearTimeout(saving);
		problem = await save('PUT /api/imports/{import}/draft', { import: data.id }, $state.snapshot(draft));
	}

	async function commit(): Promise<void> {
		await saveDraft();
		if (problem === '') problem = await save('POST /api/imports/{import}/commit', { import: data.id }, {});
	}

	async function discard(): Promise<void> {
		problem = await remove('DELETE /api/imports/{import}', { import: data.id });
		if (problem === '') await goto('/import');
	}
</script>

<div class="page">
	<h1>{data.fileName}</h1>
	{#if data.notes.length > 0}<p class="soft small">{data.notes.join(' ')}</p>{/if}
	{#if data.committed}
		<Outcomes outcomes={data.outcomes} year={data.year} />
	{:else if data.preview}
		<p class="soft">Nothing of this file is in the book yet. What you set here is kept, even if you leave the page.</p>
		<div class="fields top">
			<TextInput size="sm" labelText="Lab (its columns are remembered)" bind:value={draft.lab} oninput={changed} />
			<TextInput
				size="sm"
				labelText="Grower of new fields, where the file names none"
				list="growers"
				bind:value={draft.grower}
				oninput={changed}
			/>
			{#if remembered}
				<Button size="small" kind="tertiary" onclick={useRemembered}>Read its columns as last time</Button>
			{/if}
			<datalist id="growers"
				>{#each data.growers as name (name)}<option value={name}></option>{/each}</datalist
			>
		</div>

		<section class="section">
			<h2>What the columns mean</h2>
			{#if data.preview.mappingProblems.length > 0}
				<ul class="missing">
					{#each data.preview.mappingProblems as missing, at (at)}<li><Mark /> {missing}</li>{/each}
				</ul>
			{/if}
			<ColumnMeanings bind:mapping={draft.mapping} examples={data.sampleCells} crops={data.crops} {changed} />
		</section>

		<section class="section">
			<h2>Every row as it will be read</h2>
			<p>
				{count.imported} to import, {count.leftOut} left out{#if count.undecided > 0},
					<strong class="undecided"
						>{count.undecided} {count.undecided === 1 ? 'waits' : 'wait'} for your decision</strong
					>{/if}.
			</p>
			<LabRows
				rows={data.preview.rows}
				more={data.preview.more}
				all={count.all}
				bind:draft
				fields={data.fields}
				{changed}
			/>
		</section>

		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<div class="row end">
			<Button disabled={blocked} onclick={commit}>
				{count.imported === 1 ? 'Import 1 row' : `Import ${count.imported} rows`}
			</Button>
			<Button kind="ghost" onclick={discard}>Throw this file away</Button>
			{#if count.undecided > 0}<span class="soft">First decide on the rows that wait.</span>{/if}
		</div>
	{/if}
</div>

<style>
	.top {
		max-width: 44rem;
		grid-template-columns: 1fr 1fr;
	}
	.missing {
		list-style: none;
		padding: 0;
		margin: 0 0 0.8rem;
		columns: 2;
		color: var(--accent-ink);
	}
	.undecided {
		color: var(--stop);
	}
	.end {
		margin-top: 1.2rem;
		align-items: center;
	}
</style>
