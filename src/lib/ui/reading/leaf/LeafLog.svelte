<!-- The leaf tests of a field, each against its ranges, and a form for the next. -->
<script lang="ts">
	import type { UnitSystem } from '$core/units/rate-units';
	import { Disclosure } from 'carbon-components-svelte';
	import type { LeafVerdict } from '$core/reading/leaf/read-leaf';
	import { leafUnit } from '$core/units/leaf-units';
	import type { ReadingPage } from '$lib/server/pages/reading-page';
	import { basisText } from '../../figure/basis-text';
	import Severity from '../../figure/Severity.svelte';
	import { remove } from '../../forms/call';
	import ListTable from '../../tables/ListTable.svelte';
	import RowMenu from '../../tables/RowMenu.svelte';
	import LeafBar from './LeafBar.svelte';
	import LeafForm from './LeafForm.svelte';
	import LeafPair from './LeafPair.svelte';

	const { log, units }: { log: ReadingPage['leafLog']; units: UnitSystem } = $props();
	let problem = $state('');

	const rangeText = ({ range: { low, high }, element }: LeafVerdict) =>
		`${high === undefined ? `from ${low}` : `${low} to ${high}`} ${leafUnit(element)}`;

	async function drop(leaf: string): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/leaf-tests/{leaf}', { field: log.fieldId, leaf });
	}
</script>

{#snippet barCell(verdict: LeafVerdict)}<LeafBar {verdict} />{/snippet}

<section class="section" aria-label="Leaf tests">
	<h2>Leaf tests</h2>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="tests">
		{#each log.tests as { id, title, part, lab, answer, verdicts } (id)}
			<article aria-label={title}>
				<h3>
					{title}
					<RowMenu
						label={`What to do with the leaf test of ${title}`}
						acts={[{ text: 'Delete', act: () => void drop(id) }]}
					/>
				</h3>
				<p class="soft small">{part}{lab ? `, ${lab}` : ''}</p>
				{#if !answer.readable}
					<p><Severity severity="note" /> {answer.reason}</p>
				{:else}
					{#each answer.findings as { severity, text, remedy }, at (at)}
						<p><Severity {severity} /> {text} <span class="soft">{remedy}</span></p>
					{/each}
					{#if answer.pair}<LeafPair pair={answer.pair} soil={answer.soil} />{/if}
					<ListTable
						label={`Values of ${title}`}
						rows={verdicts}
						key={({ element }) => element}
						sortable={false}
						columns={[
							{ name: 'Element', of: ({ element }) => element },
							{ name: 'Found', of: ({ value, element }) => `${value} ${leafUnit(element)}`, number: true },
							{ name: 'On its range', cell: barCell },
							{ name: 'Sufficient', of: rangeText }
						]}
					/>
					{#if answer.ranges}<p class="soft small">Ranges: {basisText(answer.ranges)}</p>{/if}
				{/if}
			</article>
		{/each}
	</div>
	{#if log.crop}
		<Disclosure
			align="start"
			summary={log.tests.length === 0 ? `Type in a leaf test of ${log.crop.name.toLowerCase()}` : 'Type in another'}
		>
			<LeafForm fieldId={log.fieldId} crop={log.crop} ranges={log.ranges} today={log.today} {units} />
		</Disclosure>
	{/if}
</section>

<style>
	.tests {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(26rem, 100%), 1fr));
		gap: 1.2rem 2.4rem;
		margin-bottom: 0.8rem;
	}
	h3 {
		display: flex;
		align-items: center;
		gap: 0.4rem;
	}
</style>
