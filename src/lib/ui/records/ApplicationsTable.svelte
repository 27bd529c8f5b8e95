<!-- Every entry on what was applied, with those that were corrected and why. -->
<script lang="ts">
	import type { ApplicationView } from '$lib/server/pages/application-views';
	import { longDate } from '$core/units/day-text';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		entries: readonly ApplicationView[];
		correct: (entry: ApplicationView) => void;
	}
	const { entries, correct }: Props = $props();

	/** Why the entry before this one was wrong. */
	const reasonOf = (id: string) => entries.find(({ content }) => content.corrects === id)?.content.because;
</script>

{#snippet dayCell({ content, corrected }: ApplicationView)}
	<span class="nowrap" class:corrected>{content.applied ? longDate(content.applied.appliedOn) : 'not applied'}</span>
{/snippet}
{#snippet passCell(entry: ApplicationView)}
	{@const { id, label, content, corrected } = entry}
	<span class:corrected>{label}</span>
	{#if content.byMonitor}<div class="small soft">from the monitor’s log</div>{/if}
	{#if corrected}<div class="small">corrected: {reasonOf(id)}</div>{/if}
	{#if content.corrects}<div class="small soft">stands for an earlier entry</div>{/if}
	{#if entry.asPlanned}<div class="small soft">as planned</div>{/if}
	{#if content.applied && !corrected && !entry.asPlanned}
		<div><button type="button" class="plain small" onclick={() => correct(entry)}>Correct</button></div>
	{/if}
{/snippet}
{#snippet amountCell({ rate, product, corrected }: ApplicationView)}
	<span class:corrected>{[rate, product].filter(Boolean).join(' ')}</span>
{/snippet}
{#snippet groundCell({ ground, corrected }: ApplicationView)}<span class:corrected>{ground}</span>{/snippet}
{#snippet weatherCell({ weather, content }: ApplicationView)}
	{#if weather}<span title={`Measured at ${content.weather?.station}`}>{weather}</span>{:else if content.applied}<span
			class="soft">not measured</span
		>{/if}
{/snippet}
<ListTable
	label="What was applied"
	rows={entries}
	key={({ id }) => id}
	columns={[
		{ name: 'Day', of: ({ content }) => content.applied?.appliedOn, cell: dayCell },
		{ name: 'Pass', of: ({ label }) => label, cell: passCell },
		{ name: 'Applied', of: ({ product }) => product, cell: amountCell },
		{ name: 'Ground', cell: groundCell },
		{ name: 'By', of: ({ content }) => content.applied?.who },
		{ name: 'Weather', cell: weatherCell },
		{ name: 'Problems and remarks', of: ({ content }) => content.applied?.problems }
	]}
/>

<style>
	.corrected {
		text-decoration: line-through;
		color: var(--ink-soft);
	}
	.nowrap {
		white-space: nowrap;
	}
</style>
