<!-- The copies of the book, and the files that it goes out in and comes back from. Nothing is replaced before it was looked at. -->
<script lang="ts">
	import { Button, InlineNotification, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Backup, BookSummary, CopyPreview } from '$core/schema-types';
	import { longDate } from '$core/units/day-text';
	import Choice from '$lib/ui/forms/Choice.svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { call, question, save, sendFile } from '$lib/ui/forms/call';
	import { numberOrUndefined } from '$lib/ui/forms/numbers';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	/** What is looked at before it takes the place of the book, and how it is done. */
	let looking = $state.raw<{ title: string; preview: CopyPreview; run: () => Promise<void> } | undefined>();
	let problem = $state('');
	let notice = $state('');
	let busy = $state(false);
	let kept = $state(untrack(() => String(data.kept)));
	let grower = $state('');

	const WHAT = [
		['growers', 'Growers'],
		['fields', 'Fields'],
		['years', 'Field-years'],
		['samples', 'Soil samples'],
		['passes', 'Passes'],
		['sheets', 'Issued sheets']
	] as const satisfies readonly (readonly [keyof BookSummary, string])[];

	const when = (at: string) => `${longDate(at.slice(0, 10))}, ${at.slice(11, 16)} UTC`;
	const megabytes = (bytes: number) => `${(bytes / 1024 / 1024).toFixed(1)} MB`;

	/** Does something that takes a while; what goes wrong is said. */
	async function during(work: () => Promise<string | undefined>): Promise<void> {
		busy = true;
		notice = '';
		problem = (await work()) ?? '';
		busy = false;
	}

	const backUp = () =>
		during(async () => {
			const { answer, problem: failed } = await call('POST /api/backups', {}, {});
			if (answer) notice = `Copied and checked: ${when(answer.at)}.`;
			return failed;
		});

	const keep = () =>
		during(async () => {
			const count = numberOrUndefined(kept);
			if (count === undefined || !Number.isInteger(count))
				return `Keep a whole number of copies, such as 30; got “${kept}”.`;
			return save('PATCH /api/settings', {}, { backupsKept: count });
		});

	const look = ({ id, at }: Backup) =>
		during(async () => {
			const { answer, problem: failed } = await question('GET /api/backups/{backup}', { backup: id });
			if (!answer) return failed;
			looking = {
				title: `The copy of ${when(at)}`,
				preview: answer,
				run: async () => {
					const restored = await call('POST /api/backups/{backup}/restore', { backup: id }, {});
					problem = restored.problem ?? '';
					if (restored.answer) notice = `Restored. ${restored.answer.notes.join(' ')}`;
				}
			};
			return undefined;
		});

	const lookAtFile = (file: File | undefined) =>
		during(async () => {
			if (!file) return undefined;
			const { answer, problem: failed } = await sendFile('POST /api/book/preview', {}, file, { reload: false });
			if (!answer) return failed;
			looking = {
				title: file.name,
				preview: answer,
				run: async () => {
					const imported = await sendFile('POST /api/book', {}, file, { reload: true });
					problem = imported.problem ?? '';
					if (imported.answer) notice = `Imported. ${imported.answer.notes.join(' ')}`;
				}
			};
			return undefined;
		});

	const doIt = () =>
		during(async () => {
			const { run } = looking!;
			looking = undefined;
			await run();
			return problem;
		});
</script>

{#snippet atCell({ at }: Backup)}{when(at)}{/snippet}
{#snippet sizeCell({ bytes }: Backup)}{megabytes(bytes)}{/snippet}
{#snippet doCell(backup: Backup)}
	<button
		type="button"
		class="plain"
		disabled={busy}
		aria-label={`Restore the copy of ${when(backup.at)}`}
		onclick={() => void look(backup)}>Restore …</button
	>
{/snippet}

<div class="page">
	<h1>Backups and exports</h1>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	{#if notice}<p class="saved" role="status">{notice}</p>{/if}

	{#if looking}
		{@const { title, preview } = looking}
		<section class="section look" aria-label="Before it is restored">
			<h2>{title}</h2>
			{#if preview.grower !== undefined}
				<p>
					Holds {preview.grower} alone. Their fields are added to this book; nothing else in it changes, and it can be undone.
				</p>
			{:else}
				<p>It takes the place of the whole book. The book as it is now is kept in a file beside it.</p>
			{/if}
			<table class="sums">
				<thead><tr><th></th><th class="number">In it</th><th class="number">In the book now</th></tr></thead>
				<tbody>
					{#each WHAT as [key, name] (key)}
						<tr>
							<td>{name}</td><td class="number">{preview.copy[key]}</td><td class="number">{preview.now[key]}</td>
						</tr>
					{/each}
					<tr>
						<td>Last change</td>
						{#each [preview.copy, preview.now] as { lastChange }, at (at)}
							<td class="number small">{lastChange ? `${when(lastChange.at)}: ${lastChange.label}` : 'none'}</td>
						{/each}
					</tr>
				</tbody>
			</table>
			<div class="row">
				<Button
					size="small"
					kind={preview.grower === undefined ? 'danger' : 'primary'}
					disabled={busy}
					onclick={() => void doIt()}
				>
					{preview.grower === undefined ? 'Put it in the place of the book' : `Add ${preview.grower}`}
				</Button>
				<Button size="small" kind="ghost" disabled={busy} onclick={() => (looking = undefined)}>Cancel</Button>
			</div>
		</section>
	{:else}
		<section class="section" aria-label="Backups">
			<h2>Backups</h2>
			<p class="soft">
				{#if data.folder}
					The book is copied once a day while the program runs, into {data.folder}. Each copy is opened and checked.
					Copy that folder to another disk now and then.
				{:else}
					This book is in no file, so no copies of it are kept.
				{/if}
			</p>
			<div class="row bar">
				<Button size="small" disabled={busy || !data.folder} onclick={() => void backUp()}>Back up now</Button>
				<div class="count"><TextInput size="sm" labelText="Copies kept" inputmode="numeric" bind:value={kept} /></div>
				<Button size="small" kind="ghost" disabled={busy || kept === String(data.kept)} onclick={() => void keep()}
					>Save</Button
				>
			</div>
			<div class="copies">
				<ListTable
					label="Copies of the book"
					rows={data.backups}
					key={({ id }) => id}
					empty="No copy yet."
					columns={[
						{ name: 'Made', of: ({ at }) => at, cell: atCell },
						{ name: 'Size', of: ({ bytes }) => bytes, cell: sizeCell, number: true },
						{ name: '', cell: doCell }
					]}
				/>
			</div>
		</section>
		<section class="section" aria-label="Export">
			<h2>Export</h2>
			<p class="soft">
				One zip with every table as JSON and CSV, and fields and zones as GeoJSON. It can be imported again, here or
				elsewhere.
			</p>
			<div class="row">
				<Button size="small" kind="tertiary" href="/copies/export" download>Export the book</Button>
				<Choice
					label="Grower to export"
					value={grower}
					options={[
						{ value: '', text: 'or one grower …' },
						...data.growers.map(({ id, name }) => ({ value: id, text: name }))
					]}
					choose={(value) => (grower = value)}
				/>
				{#if grower}<a href={`/copies/export?grower=${grower}`} download
						>Export {data.growers.find(({ id }) => id === grower)?.name}</a
					>{/if}
			</div>
		</section>
		<section class="section" aria-label="Import">
			<h2>Import</h2>
			<p class="soft">
				A file that was exported: a whole book in the place of this one, or one grower beside the others. You see what
				is in it first.
			</p>
			<FileButton label="Choose an exported file" accept={['.zip']} take={(file) => void lookAtFile(file)} />
		</section>
	{/if}
</div>

<style>
	.bar {
		align-items: end;
		gap: 0.6rem 1rem;
		margin-bottom: 0.8rem;
	}
	.copies {
		max-width: 40rem;
	}
	.count {
		width: 8rem;
	}
	.row {
		align-items: center;
	}
	.look {
		max-width: 52rem;
	}
	.sums {
		border-collapse: collapse;
		margin-bottom: 1rem;
	}
	.sums th,
	.sums td {
		padding: 0.25rem 1.6rem 0.25rem 0;
		border-bottom: 1px solid var(--rule);
		text-align: left;
	}
	.sums .number {
		text-align: right;
	}
</style>
