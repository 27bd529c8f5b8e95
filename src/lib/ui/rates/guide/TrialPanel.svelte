<!-- What a guide being written does: problems with their lines, examples, and the rates that move. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { valueInSystem, unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { formatNumber } from '$core/units/display';
	import ListTable from '../../tables/ListTable.svelte';
	import ProblemList from './ProblemList.svelte';
	import type { GuideTrial } from './trial.svelte';

	const { trial, units }: { trial: GuideTrial; units: UnitSystem } = $props();
	type Moved = NonNullable<GuideTrial['moved']>[number];
	const MOST_SHOWN = 60;

	const right = $derived(trial.examples.filter((example) => example.right).length);
	const fields = $derived(new Set(trial.moved?.map(({ field, grower }) => `${grower}/${field}`)).size);

	function rateText(rate: number | null, unit: string): string {
		return rate === null ? 'no rate' : formatNumber(valueInSystem(rate, unit, units), unitInSystem(unit, units));
	}
</script>

{#snippet fieldCell({ field, grower }: Moved)}{field} <span class="soft small">{grower}</span>{/snippet}
{#snippet beforeCell({ before, unit }: Moved)}{rateText(before, unit)}{/snippet}
{#snippet afterCell({ after, unit }: Moved)}<strong>{rateText(after, unit)}</strong>{/snippet}

<div role="status">
	<h2>What it does</h2>
	{#if trial.problems.length > 0}
		<p class="stop"><strong>It cannot be saved yet:</strong></p>
		<ProblemList problems={trial.problems} />
	{:else if trial.checked}
		<p>✓ {right} of {trial.examples.length} worked examples come out.</p>
	{/if}
</div>

{#if trial.progress}
	<p class="row">
		<progress value={trial.progress.done} max={trial.progress.total}></progress>
		<span>{trial.progress.done} of {trial.progress.total} fields</span>
		<Button size="small" kind="ghost" onclick={() => trial.cancel()}>Leave off</Button>
	</p>
{/if}

{#if trial.moved && trial.problems.length === 0}
	<h3>Your open fields</h3>
	{#if trial.moved.length === 0}
		<p>On none of the {trial.fields} open fields does a rate of this guide move.</p>
	{:else}
		<p><strong>{trial.moved.length} rates move</strong> on {fields} of {trial.fields} open fields.</p>
		<ListTable
			label="Rates that would move"
			rows={trial.moved.slice(0, MOST_SHOWN)}
			columns={[
				{ name: 'Field', of: ({ field }) => field, cell: fieldCell },
				{ name: 'Rule', of: ({ rule }) => rule },
				{ name: 'now', of: ({ before }) => before, cell: beforeCell, number: true },
				{ name: 'by this text', of: ({ after }) => after, cell: afterCell, number: true }
			]}
		/>
		{#if trial.moved.length > MOST_SHOWN}<p class="soft">and {trial.moved.length - MOST_SHOWN} more.</p>{/if}
	{/if}
{/if}

<style>
	.stop {
		color: var(--stop);
	}
</style>
