<!-- A piece of work on many fields while it is worked out, and then what it would do to each. -->
<script lang="ts">
	import { Button, ContentSwitcher, ProgressBar, Switch } from 'carbon-components-svelte';
	import type { WorkRow, WorkRun } from '$core/schema-types';
	import Mark from '$lib/ui/figure/Mark.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';

	interface Props {
		run: WorkRun;
		year: number;
		busy: boolean;
		save: () => void;
		cancel: () => void;
		back: () => void;
	}
	const { run, year, busy, save, cancel, back }: Props = $props();

	const changing = $derived(run.rows.filter(({ changes }) => changes.length > 0));
	const cannot = $derived(run.rows.filter((row) => row.cannot !== undefined));
	const asTheyAre = $derived(run.rows.filter((row) => row.cannot === undefined && row.changes.length === 0));
	const GROUPS = ['all', 'change', 'cannot'] as const;
	let shown = $state(0);
	const rows = $derived({ all: run.rows, change: changing, cannot }[GROUPS[shown] ?? 'all']);
	const fields = (count: number) => `${count} ${count === 1 ? 'field' : 'fields'}`;
</script>

{#snippet fieldCell({ field, name }: WorkRow)}<a href={`/field/${field}/${year}/rates`}>{name}</a>{/snippet}
{#snippet changeCell({ changes, cannot: why, notes }: WorkRow)}
	{#if why}<span class="late"><Mark /> Not here: {why}</span>
	{:else if changes.length === 0}<span class="soft">as it is</span>
	{:else}{changes.join('; ')}{/if}
	{#each notes as note, at (at)}<div class="small soft">{note}</div>{/each}
{/snippet}

<section aria-label="Preview">
	<h2>Preview: nothing is saved yet</h2>
	{#if run.state === 'working'}
		<ProgressBar labelText={`${run.done} of ${fields(run.of)} worked out`} value={run.done} max={Math.max(1, run.of)} />
		<Button size="small" kind="ghost" onclick={cancel}>Cancel</Button>
	{:else}
		<p role="status">
			<strong>{fields(changing.length)} will change</strong>, {cannot.length} cannot, {asTheyAre.length}
			{asTheyAre.length === 1 ? 'stays' : 'stay'} as {asTheyAre.length === 1 ? 'it is' : 'they are'}.
		</p>
		<div class="row bar">
			<Button size="small" disabled={busy || changing.length === 0} onclick={save}>
				Save on {fields(changing.length)}
			</Button>
			<Button size="small" kind="ghost" disabled={busy} onclick={back}>Back, change nothing</Button>
			<div class="groups">
				<ContentSwitcher size="sm" bind:selectedIndex={shown}>
					<Switch text="All" />
					<Switch text={`Change ${changing.length}`} />
					<Switch text={`Cannot ${cannot.length}`} />
				</ContentSwitcher>
			</div>
		</div>
		<ListTable
			label="What becomes of each field"
			{rows}
			key={({ field }) => field}
			columns={[
				{ name: 'Field', of: ({ name }) => name, cell: fieldCell },
				{ name: 'Grower', of: ({ grower }) => grower },
				{ name: 'What changes', of: ({ changes, cannot: why }) => why ?? changes.join(), cell: changeCell }
			]}
		/>
	{/if}
</section>

<style>
	section :global(.bx--progress-bar__bar) {
		color: var(--action);
	}
	.bar {
		align-items: center;
		gap: 0.5rem 1rem;
		margin-bottom: 0.8rem;
	}
	.groups {
		margin-left: auto;
		width: 22rem;
	}
	.late {
		color: var(--accent-ink);
	}
	@media (max-width: 700px) {
		.groups {
			margin-left: 0;
			width: 100%;
		}
	}
</style>
