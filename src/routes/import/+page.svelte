<script lang="ts">
	import { FileUploaderDropContainer, InlineNotification } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { longDate } from '$core/units/day-text';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { remove, sendFile } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Import = PageData['imports'][number];
	let problem = $state('');

	async function upload(files: readonly File[]): Promise<void> {
		const file = files[0];
		if (!file) return;
		problem = '';
		const { answer, problem: failed } = await sendFile('POST /api/imports', {}, file, { reload: false });
		if (answer) await goto(`/import/${answer.id}`);
		else problem = failed;
	}

	async function discard(id: string): Promise<void> {
		problem = await remove('DELETE /api/imports/{import}', { import: id });
	}
</script>

{#snippet fileCell({ id, fileName }: Import)}<a href={`/import/${id}`}>{fileName}</a>{/snippet}
{#snippet cameCell({ uploadedAt }: Import)}{longDate(uploadedAt.slice(0, 10))}{/snippet}
{#snippet discardCell({ id, committedAt }: Import)}
	{#if !committedAt}<button type="button" class="plain" onclick={() => discard(id)}>Throw away</button>{/if}
{/snippet}

<div class="page">
	<h1>Import a lab file</h1>
	<p class="soft">
		The lab's CSV or .xlsx file as it came. You say once what its columns mean, see every row as it will be read, and
		then save it. Until then nothing is in the book.
	</p>
	<div class="drop">
		<FileUploaderDropContainer
			labelText="Drop the file here, or press to choose it"
			accept={['.csv', '.txt', '.xlsx']}
			validateFiles={(files) => files}
			on:add={(event) => void upload(event.detail)}
		/>
	</div>
	{#if problem}
		<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />
	{/if}

	{#if data.imports.length > 0}
		<section class="section">
			<h2>Files so far</h2>
			<ListTable
				label="Files"
				rows={data.imports}
				key={({ id }) => id}
				columns={[
					{ name: 'File', of: ({ fileName }) => fileName, cell: fileCell },
					{ name: 'Lab', of: ({ lab }) => lab },
					{ name: 'Came', of: ({ uploadedAt }) => uploadedAt, cell: cameCell },
					{
						name: 'Stands',
						of: ({ committedAt }) => (committedAt ? 'in the book' : 'waits for you; nothing of it is in the book')
					},
					{ name: '', cell: discardCell }
				]}
			/>
		</section>
	{/if}
</div>

<style>
	.drop {
		max-width: 40rem;
		margin: 1rem 0;
	}
	.drop :global(.bx--file__drop-container) {
		min-height: 7rem;
		background: var(--sheet);
		color: var(--action);
	}
	.drop :global(.bx--file-browse-btn) {
		max-width: none;
	}
</style>
