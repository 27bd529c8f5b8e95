<!-- What became of every line of a file that is in the book. -->
<script lang="ts">
	import type { ImportPage } from '$lib/server/pages/import-page';

	const { outcomes, year }: { outcomes: ImportPage['outcomes']; year: number } = $props();
	const imported = $derived(outcomes.filter(({ outcome }) => outcome === 'imported').length);
</script>

<p>
	In the book: {imported} of {outcomes.length} rows. {outcomes.length - imported === 0
		? 'None was left out.'
		: `${outcomes.length - imported} left out, each with its reason below.`} Undo at the top takes the whole file out again.
</p>
<table class="ledger">
	<thead><tr><th class="num">Line</th><th>Field</th><th>What became of it</th></tr></thead>
	<tbody>
		{#each outcomes as { line, outcome, reason, fieldId, field } (line)}
			<tr>
				<td class="num">{line}</td>
				<td
					>{#if fieldId}<a href={`/field/${fieldId}/${year}/rates`}>{field}</a>{/if}</td
				>
				<td>{outcome}{reason ? `: ${reason}` : ''}</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	table {
		max-width: 52rem;
	}
</style>
