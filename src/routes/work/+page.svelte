<!-- Every field as a line of a work table: choose some, say what is to be done, look at what it does to each, save it once. -->
<script lang="ts">
	import { Button, InlineNotification, Search } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { shortDate } from '$core/units/day-text';
	import type { WorkRun } from '$core/schema-types';
	import { nextToDo, WORK } from '$lib/next-to-do';
	import Choice from '$lib/ui/forms/Choice.svelte';
	import { call, question } from '$lib/ui/forms/call';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { areaText, cropText, sampleText } from '$lib/ui/tables/roster-text';
	import SheetsLeft from '$lib/ui/work/SheetsLeft.svelte';
	import { IssueSheets } from '$lib/ui/work/issue-sheets.svelte';
	import SheetFiles from '$lib/ui/work/SheetFiles.svelte';
	import { usualWork, workOf } from '$lib/ui/work/typed-work';
	import WorkForm from '$lib/ui/work/WorkForm.svelte';
	import WorkPreview from '$lib/ui/work/WorkPreview.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Row = PageData['rows'][number];

	/** So long between two looks at how far a piece of work is, ms. */
	const LOOK_MS = 250;
	let chosen = $state<string[]>([]);
	let words = $state('');
	let grower = $state('');
	let crop = $state('');
	let typed = $state(untrack(() => usualWork(data.units)));
	let problem = $state('');
	let saved = $state('');
	let busy = $state(false);
	let run = $state.raw<WorkRun | undefined>(untrack(() => data.work));
	const sheets = new IssueSheets();

	const growers = $derived([...new Set(data.rows.map((row) => row.grower))].sort());
	const crops = $derived([...new Set(data.rows.flatMap(({ cropName }) => cropName ?? []))].sort());
	const rows = $derived(
		data.rows.filter((row) => (!grower || row.grower === grower) && (!crop || row.cropName === crop) && matches(row))
	);
	const inSight = $derived(new Set(rows.map(({ id }) => id)));
	/** What is chosen and in sight: what a filter hides is not worked on unseen. */
	const marked = $derived(chosen.filter((id) => inSight.has(id)));
	const fields = (count: number) => `${count} ${count === 1 ? 'field' : 'fields'}`;
	const stands = (row: Row) => WORK[nextToDo(row)];
	const issued = $derived(data.rows.flatMap(({ id, sheet }) => (sheet && marked.includes(id) ? [sheet] : [])));

	function matches(row: Row): boolean {
		const hay =
			`${row.name} ${row.grower} ${row.cropName ?? ''} ${row.programme ?? ''} ${stands(row).text}`.toLowerCase();
		return words
			.toLowerCase()
			.split(/\s+/)
			.every((word) => hay.includes(word));
	}

	const address = (query: Record<string, string | number>) =>
		goto(`?${new URLSearchParams(Object.entries(query).map(([key, value]) => [key, String(value)]))}`, {
			noScroll: true,
			keepFocus: true
		});

	/** While a piece of work is worked out, the page looks again and again how far it is. */
	$effect(() => {
		const id = data.run;
		if (id === null) return;
		let looking = true;
		const look = async (): Promise<void> => {
			const { answer, problem: failed } = await question('GET /api/work/{run}', { run: id });
			if (!looking) return;
			run = answer;
			problem = failed ?? '';
			if (answer?.state === 'working') setTimeout(() => void look(), LOOK_MS);
		};
		void look();
		return () => (looking = false);
	});

	async function begin(): Promise<void> {
		saved = '';
		problem = '';
		if (typed.kind === 'sheets') return sheets.issue(data.year, marked);
		const work = workOf(typed, data.units, data.crops.find(({ id }) => id === typed.crop)?.yieldUnit);
		if ('problem' in work) return void (problem = work.problem);
		busy = true;
		const { answer, problem: failed } = await call('POST /api/work', {}, { year: data.year, fields: marked, work });
		busy = false;
		problem = failed ?? '';
		if (answer) {
			run = undefined;
			await address({ year: data.year, run: answer.id });
		}
	}

	async function save(): Promise<void> {
		const id = data.run;
		if (id === null) return;
		busy = true;
		const { answer, problem: failed } = await call('POST /api/work/{run}/save', { run: id }, {});
		busy = false;
		problem = failed ?? '';
		if (!answer) return;
		saved = `${run?.label ?? 'Saved'}: ${fields(answer.fields)} changed. Undo in the bar above takes all of it back.`;
		await back();
	}

	async function cancel(): Promise<void> {
		if (data.run !== null) await call('POST /api/work/{run}/cancel', { run: data.run }, {});
		await back();
	}

	const back = () => address({ year: data.year });
</script>

{#snippet nameCell(row: Row)}<a href={`/field/${row.id}/${data.year}/ground`}>{row.name}</a>{/snippet}
{#snippet areaCell(row: Row)}{areaText(row)}{/snippet}
{#snippet cropCell(row: Row)}{#if row.cropName}{cropText(row)}{:else}<span class="soft">none</span>{/if}{/snippet}
{#snippet sampleCell(row: Row)}{sampleText(row, data.today)}{/snippet}
{#snippet programmeCell({ programme, choices }: Row)}
	{#if programme}{programme}{:else if choices > 0}<span class="soft">{choices} chosen</span>{/if}
{/snippet}
{#snippet passCell({ passes, nextPass }: Row)}
	{#if passes > 0}{passes}{#if nextPass}, <span class="soft">{shortDate(nextPass)}</span>{/if}{/if}
{/snippet}
{#snippet sheetCell({ sheet }: Row)}{#if sheet}<a href={`/sheets/${sheet.id}`}>No. {sheet.number}</a>{/if}{/snippet}
{#snippet nextCell(row: Row)}
	{@const next = stands(row)}
	<a href={`/field/${row.id}/${data.year}/${next.word}`}>{next.text}</a>
{/snippet}

<div class="page">
	<div class="heading">
		<h1>Many fields at once, {data.year}</h1>
		<div class="row">
			<a href={`?year=${data.year - 1}`}>{data.year - 1}</a>
			<a href={`?year=${data.year + 1}`}>{data.year + 1}</a>
			<a href="/programmes">House programmes</a>
		</div>
	</div>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	{#if saved}<p class="saved" role="status">{saved}</p>{/if}

	{#if data.run !== null && run && (run.state === 'working' || run.state === 'ready')}
		<WorkPreview
			{run}
			year={data.year}
			{busy}
			save={() => void save()}
			cancel={() => void cancel()}
			back={() => void cancel()}
		/>
	{:else if data.rows.length === 0}
		<div class="empty">
			<h2>No field yet</h2>
			<p>Import a lab file, or add a field on the roster; then choose fields here and work on all of them at once.</p>
			<Button size="small" href="/import">Import a lab file</Button>
		</div>
	{:else}
		<section class="work-panel" aria-label="Work">
			<WorkForm
				bind:typed
				units={data.units}
				programmes={data.programmes}
				crops={data.crops}
				products={data.products}
			/>
			<div class="row">
				<Button size="small" disabled={busy || sheets.busy || marked.length === 0} onclick={() => void begin()}>
					{typed.kind === 'sheets' ? 'Issue sheets of' : 'Preview on'}
					{fields(marked.length)}
				</Button>
				{#if sheets.busy}<Button size="small" kind="ghost" onclick={() => sheets.leaveOff()}>Leave off</Button>{/if}
				{#if marked.length === 0}<span class="soft"
						>Choose fields in the list below; the box at its head chooses all of them.</span
					>{/if}
				{#if typed.kind === 'sheets'}<SheetFiles {issued} />{/if}
			</div>
			{#if typed.kind === 'sheets'}
				{#if data.preparedBy === ''}<p class="late">Say first who prepares the sheets, on any field’s sheet.</p>{/if}
				{#if sheets.problem}<p class="problem" role="alert">{sheets.problem}</p>{/if}
				{#if sheets.notice}<p role="status">{sheets.notice}</p>{/if}
				<SheetsLeft {sheets} year={data.year} />
			{/if}
		</section>
		<div class="row filters">
			<div class="words">
				<Search
					size="sm"
					labelText="Filter the fields"
					placeholder="Filter by field, programme or what is to do"
					bind:value={words}
				/>
			</div>
			<Choice
				label="Grower"
				value={grower}
				options={[{ value: '', text: 'all growers' }, ...growers.map((name) => ({ value: name, text: name }))]}
				choose={(value) => (grower = value)}
			/>
			<Choice
				label="Crop"
				value={crop}
				options={[{ value: '', text: 'all crops' }, ...crops.map((name) => ({ value: name, text: name }))]}
				choose={(value) => (crop = value)}
			/>
			<span class="soft">{marked.length} of {fields(rows.length)} chosen</span>
		</div>
		<ListTable
			label="Fields"
			{rows}
			key={({ id }) => id}
			bind:selected={chosen}
			rowHeightPx={38}
			empty="No field is so."
			columns={[
				{ name: 'Field', of: ({ name }) => name, cell: nameCell, share: 14 },
				{ name: 'Grower', of: (row) => row.grower, share: 14 },
				{ name: 'Area', of: ({ areaAc }) => areaAc, cell: areaCell, number: true, share: 6 },
				{ name: 'Crop and goal', of: ({ cropName }) => cropName, cell: cropCell, share: 14 },
				{ name: 'Sample', of: ({ sampledOn }) => sampledOn, cell: sampleCell, share: 9 },
				{ name: 'Programme', of: ({ programme }) => programme, cell: programmeCell, share: 14 },
				{ name: 'Passes', of: ({ passes }) => passes, cell: passCell, share: 8 },
				{ name: 'Sheet', of: ({ sheet }) => sheet?.number, cell: sheetCell, share: 7 },
				{ name: 'Next to do', of: (row) => stands(row).text, cell: nextCell, share: 12 }
			]}
		/>
	{/if}
</div>

<style>
	.heading {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		align-items: baseline;
		gap: 0.3rem 1rem;
		margin-bottom: 0.6rem;
	}
	.row {
		align-items: center;
		gap: 0.5rem 1rem;
	}
	.filters {
		margin-bottom: 0.6rem;
	}
	.words {
		width: 22rem;
		max-width: 100%;
	}
	.late {
		color: var(--accent-ink);
	}
</style>
