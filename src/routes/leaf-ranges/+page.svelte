<!-- What leaf tests are read against: the program's ranges and the adviser's own. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { messageOf } from '$core/check/message-of';
	import type { LeafElement, LeafRangeList, LeafRanges } from '$core/schema-types';
	import { LEAF_ELEMENTS } from '$core/units/leaf-units';
	import { basisText } from '$lib/ui/figure/basis-text';
	import { remove, save } from '$lib/ui/forms/call';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import RangeForm from '$lib/ui/reading/leaf/RangeForm.svelte';
	import SamplingCard from '$lib/ui/reading/leaf/SamplingCard.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import RowMenu from '$lib/ui/tables/RowMenu.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Row = PageData['rows'][number];
	let problem = $state('');
	let notice = $state('');
	/** What the form starts from; undefined while it is closed. */
	let editing = $state<{ from: LeafRanges | undefined }>();

	const rangeText = ({ ranges }: Row, element: LeafElement) => {
		const range = ranges.ranges[element];
		if (!range) return '';
		return range.high === undefined ? `${range.low}+` : `${range.low}–${range.high}`;
	};

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		notice = '';
		const found = await textOfFile(file);
		if (typeof found === 'string') return void (problem = found);
		let list: LeafRangeList;
		try {
			list = JSON.parse(found.text) as LeafRangeList;
		} catch (error) {
			problem = `${file.name} is no JSON: ${messageOf(error)}`;
			return;
		}
		problem = await save('POST /api/leaf-ranges/file', {}, list);
		if (!problem) notice = `${list.ranges.length} imported from ${file.name}.`;
	}

	async function drop({ id }: Row): Promise<void> {
		problem = await remove('DELETE /api/leaf-ranges/{ranges}', { ranges: id });
	}

	function saved({ part, when }: LeafRanges): void {
		editing = undefined;
		notice = `Ranges of ${part}, ${when}, saved; leaf tests are read against them now.`;
	}
</script>

{#snippet leavesCell({ ranges: { part, when }, own, givesWay }: Row)}
	{part}, {when}
	{#if own}<div class="soft small">your own</div>{/if}
	{#if givesWay}<div class="soft small">yours stands in its place</div>{/if}
{/snippet}
{#snippet menuCell(row: Row)}
	<RowMenu
		label={`What to do with ${row.cropName}, ${row.ranges.part}`}
		acts={[
			{ text: row.own ? 'Edit' : 'Edit as your own', act: () => (editing = { from: row.ranges }) },
			...(row.own ? [{ text: 'Delete', act: () => void drop(row) }] : [])
		]}
	/>
{/snippet}
{#snippet opened({ ranges }: Row)}
	<SamplingCard {ranges} units={data.settings.units}>
		<p class="small">{basisText(ranges)}</p>
		{#if ranges.parts}<p class="soft small">The leaves are also called {ranges.parts.join(', ')}.</p>{/if}
		{#if ranges.stages}<p class="soft small">The time is also called {ranges.stages.join(', ')}.</p>{/if}
	</SamplingCard>
{/snippet}

<div class="page">
	<h1>Leaf ranges</h1>
	<p class="soft">
		What a leaf test must lie in: N to S in % of dry matter, the others in ppm. A sample of other leaves or another time
		is not read against them. Open a row to see how a sample is picked.
	</p>
	<div class="row bar">
		<Button size="small" onclick={() => (editing = { from: undefined })}>Add ranges of your own</Button>
		<Button size="small" kind="tertiary" href="/leaf-ranges/file" download>All ranges as JSON</Button>
		<FileButton label="Import ranges (JSON)" accept={['.json', 'application/json']} take={(file) => void take(file)} />
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	{#if editing}
		<section class="section" aria-label="Your ranges">
			<h2>{editing.from ? `${editing.from.part}, ${editing.from.when}, as your own` : 'Ranges of your own'}</h2>
			{#key editing}<RangeForm
					crops={data.crops}
					from={editing.from}
					{saved}
					close={() => (editing = undefined)}
				/>{/key}
		</section>
	{/if}
	<ListTable
		label="Leaf ranges"
		rows={data.rows}
		key={({ id }) => id}
		expanded={opened}
		columns={[
			{ name: 'Crop', of: ({ cropName }) => cropName },
			{ name: 'Leaves', of: ({ ranges }) => `${ranges.part}, ${ranges.when}`, cell: leavesCell },
			...LEAF_ELEMENTS.map((element) => ({
				name: element,
				// A sign of its own, so that a range is not broken in two lines.
				of: (row: Row) => rangeText(row, element).replace('–', '\u2060–\u2060'),
				number: true
			})),
			{ name: '', cell: menuCell }
		]}
	/>
</div>

<style>
	.bar {
		align-items: end;
		margin-bottom: 0.8rem;
	}
</style>
