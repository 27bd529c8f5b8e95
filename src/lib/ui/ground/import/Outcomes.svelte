<!-- What became of every line of a file that is in the book. -->
<script lang="ts">
	import ListTable from '../../tables/ListTable.svelte';
	import type { ImportPage } from '$lib/server/pages/import-page';

	const { outcomes, year }: { outcomes: ImportPage['outcomes']; year: number } = $props();
	const imported = $derived(outcomes.filter(({ outcome }) => outcome === 'imported').length);
</script>

{#snippet fieldCell({ fieldId, field }: ImportPage['outcomes'][number])}
	{#if fieldId}<a href={`/field/${fieldId}/${year}/rates`}>{field}</a>{/if}
{/snippet}

<p>
	In the book: {imported} of {outcomes.length} rows. {outcomes.length - imported === 0
		? 'None was left out.'
		: `${outcomes.length - imported} left out, each with its reason below.`} Undo at the top takes the whole file out again.
</p>
<div class="outcomes">
	<ListTable
		label="What became of every line"
		rows={outcomes}
		key={({ line }) => String(line)}
		rowHeightPx={38}
		columns={[
			{ name: 'Line', of: ({ line }) => line, number: true, share: 10 },
			{ name: 'Field', of: ({ field }) => field, cell: fieldCell, share: 30 },
			{ name: 'What became of it', of: ({ outcome, reason }) => `${outcome}${reason ? `: ${reason}` : ''}` }
		]}
	/>
</div>

<style>
	.outcomes {
		max-width: 52rem;
	}
</style>
