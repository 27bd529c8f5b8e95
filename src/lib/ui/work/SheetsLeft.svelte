<!-- Fields whose sheet was not issued: those with stops want a tick and a reason. -->
<script lang="ts">
	import { Button, Checkbox, TextInput } from 'carbon-components-svelte';
	import Severity from '../figure/Severity.svelte';
	import type { IssueSheets } from './issue-sheets.svelte';

	const { sheets, year }: { sheets: IssueSheets; year: number } = $props();
	const others = $derived(sheets.left.filter(({ stops }) => stops === 0));
	const ready = $derived(sheets.ticked.length > 0 && sheets.reason.trim().length >= 3);
</script>

{#if sheets.waiting.length > 0}
	<section aria-label="Sheets with stops" class="waiting">
		<h3>{sheets.waiting.length} {sheets.waiting.length === 1 ? 'field has' : 'fields have'} stops or past days</h3>
		{#each sheets.waiting as { id, field, why, stops } (id)}
			<div>
				<Checkbox labelText={`${field}, ${stops} to answer`} value={id} bind:group={sheets.ticked} />
				<p class="small"><Severity severity="stop" /> {why}</p>
			</div>
		{/each}
		<div class="row">
			<TextInput size="sm" labelText="Issue the ticked ones all the same, because" bind:value={sheets.reason} />
			<Button size="small" disabled={!ready || sheets.busy} onclick={() => void sheets.issueTicked(year)}>
				Issue {sheets.ticked.length} with this reason
			</Button>
		</div>
	</section>
{/if}
{#each others as { field, why }, at (at)}<p class="left">{field}: {why}</p>{/each}

<style>
	.waiting {
		display: grid;
		gap: 0.5rem;
		max-width: 52rem;
	}
	.row {
		display: flex;
		align-items: end;
		gap: 1rem;
	}
	p {
		margin: 0;
	}
	.left {
		color: var(--stop);
	}
</style>
