<script lang="ts">
	import { InlineNotification, Toggle } from 'carbon-components-svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { GuideActionBounds } from '$core/schema-types/bounds';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import { goto } from '$app/navigation';
	import ProblemList from '$lib/ui/rates/guide/ProblemList.svelte';
	import { sendGuide, type GuideProblem } from '$lib/ui/rates/guide/send-guide';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Guide = PageData['guides'][number];
	let problem = $state('');
	let problems = $state<GuideProblem[]>([]);
	let fileName = $state('');

	async function take(files: readonly File[]): Promise<void> {
		const [file] = files;
		if (!file) return;
		fileName = file.name;
		const found = await textOfFile(file, GuideActionBounds.text);
		problem = typeof found === 'string' ? found : '';
		if (typeof found === 'string') return;
		const outcome = await sendGuide(found.text);
		problems = outcome.problems;
		if (outcome.id) await goto(`/guides/${outcome.id}`);
		else if (problems.length === 0) problem = outcome.message;
	}

	async function use(id: string, off: boolean): Promise<void> {
		problem = await save('PATCH /api/guides/{guide}', { guide: id }, { off });
	}
</script>

{#snippet titleCell({ id, title, own }: Guide)}
	<a href={`/guides/${id}`}>{title}</a>{#if own}<span class="own">your own</span>{/if}
{/snippet}
{#snippet useCell(guide: Guide)}
	{#if guide.gives.length > 0}
		<Toggle
			size="sm"
			labelText={`Use ${guide.title}`}
			hideLabel
			labelA=""
			labelB=""
			toggled={!guide.off}
			on:toggle={({ detail }) => detail.toggled === guide.off && use(guide.id, !detail.toggled)}
		/>
	{:else}<span class="soft">always</span>{/if}
{/snippet}

<div class="page">
	<h1>Guides</h1>
	<p class="soft">
		A guide is a state’s or a lab’s way of reading and rating, with its source and worked examples. Copy one to change
		its numbers, or import a file. Guides set aside do not show under Rates.
	</p>
	<div class="row head">
		<FileButton label="Import a guide file" accept={['.json']} take={(picked) => take(picked ? [picked] : [])} />
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	</div>
	{#if problems.length > 0}
		<div class="refused" role="alert">
			<p><strong>{fileName} was not taken.</strong> Nothing was changed. Correct these lines and take it in again:</p>
			<ProblemList {problems} />
		</div>
	{/if}
	<ListTable
		label="Guides"
		rows={data.guides}
		key={({ id }) => id}
		rowClass={({ off }) => (off ? 'aside' : '')}
		columns={[
			{ name: 'Guide', of: ({ title }) => title, cell: titleCell },
			{ name: 'Edition', of: ({ edition }) => edition },
			{ name: 'Region', of: ({ region }) => region },
			{ name: 'Gives', of: ({ gives }) => gives.join(', ') || 'reading' },
			{ name: 'Version', of: ({ version }) => version },
			{ name: 'In use', of: ({ off }) => (off ? 'no' : 'yes'), cell: useCell }
		]}
	/>
</div>

<style>
	.head {
		align-items: center;
		gap: 1rem;
		margin-bottom: 1rem;
	}
	.refused {
		border: 1px solid var(--stop);
		padding: 0.8rem 1rem;
		margin-bottom: 1rem;
	}
	.own {
		margin-left: 0.5rem;
		color: var(--action);
		font-size: 0.84rem;
	}
	.page :global(tr.aside td) {
		color: var(--ink-soft);
	}
</style>
