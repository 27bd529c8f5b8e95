<!-- Every pass in a row, for those who read rather than look. -->
<script lang="ts">
	import Mark from '../../figure/Mark.svelte';
	import type { Answer } from '$core/figure/figure';
	import { placementText } from '$core/season/plan/placement-text';
	import type { Pass, Severity as SeverityWord } from '$core/schema-types';
	import type { UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import ListTable from '../../tables/ListTable.svelte';
	import Quantity from '../../figure/Quantity.svelte';
	import RowMenu from '../../tables/RowMenu.svelte';
	import Severity from '../../figure/Severity.svelte';

	interface Row {
		plan: Pass;
		doneOn: string | null;
		/** The ground that it goes on, where it is not the whole field. */
		part: string | undefined;
		productName: string;
		rate: Answer;
		nutrients: readonly { nutrient: string; amount: Answer }[];
		cost: Answer;
		cautions: readonly string[];
	}
	interface Props {
		rows: readonly Row[];
		units: UnitSystem;
		/** Where what was applied is recorded. */
		records: string;
		/** How far the crop usually is on a day; undefined before its first stage. */
		stageOf: (date: string) => string | undefined;
		severityOf: (id: string) => SeverityWord | undefined;
		choose: (id: string) => void;
		edit: (pass: Pass) => void;
		remove: (pass: Pass) => void;
		setDone: (pass: Pass, done: boolean) => void;
	}
	const { rows, records, units, stageOf, severityOf, choose, edit, remove, setDone }: Props = $props();
</script>

{#snippet dateCell({ plan, doneOn }: Row)}
	{@const date = doneOn ?? plan.date}
	{@const stage = stageOf(date)}
	<span class="nowrap">{longDate(date)}</span>
	{#if stage}<div class="small soft">about {stage}</div>{/if}
{/snippet}
{#snippet passCell({ plan, cautions }: Row)}
	{@const severity = severityOf(plan.id)}
	<div class="pass">
		<button type="button" class="plain" onclick={() => choose(plan.id)}><strong>{plan.label}</strong></button>
		{#if severity}<Severity {severity} />{/if}
		{#if plan.reason}<div class="small soft">{plan.reason}</div>{/if}
		{#each cautions as caution, at (at)}<div class="small caution"><Mark /> {caution}</div>{/each}
	</div>
{/snippet}
{#snippet rateCell({ rate, part }: Row)}
	<Quantity answer={rate} setting />
	{#if part}<div class="small nowrap">{part}</div>{/if}
{/snippet}
{#snippet suppliesCell({ nutrients }: Row)}
	{#each nutrients as { nutrient, amount } (nutrient)}
		<div class="nowrap">{nutrient} <Quantity answer={amount} bare /></div>
	{/each}
{/snippet}
{#snippet costCell({ cost }: Row)}
	{#if cost.applies}<Quantity answer={cost} />{:else}<span class="small soft">no price</span>{/if}
{/snippet}
{#snippet actsCell({ plan, doneOn, part }: Row)}
	<RowMenu
		label={`What to do with ${plan.label}`}
		acts={doneOn === null
			? [
					{ text: 'Change', act: () => edit(plan) },
					{ text: 'Remove', act: () => remove(plan) },
					...(part === undefined ? [{ text: 'Applied', act: () => setDone(plan, true) }] : []),
					{ text: 'Record what was applied', href: records }
				]
			: part === undefined
				? [{ text: 'Not applied', act: () => setDone(plan, false) }]
				: [{ text: 'Correct the record', href: records }]}
	/>
	{#if doneOn !== null}<span class="small nowrap">applied {longDate(doneOn)}</span>{/if}
{/snippet}

<section class="section" aria-label="All passes">
	<h2>All passes</h2>
	<ListTable
		label="All passes"
		{rows}
		key={({ plan }) => plan.id}
		rowClass={({ doneOn }) => (doneOn === null ? '' : 'done')}
		columns={[
			{ name: 'Date', of: ({ plan, doneOn }) => doneOn ?? plan.date, cell: dateCell },
			{ name: 'Pass', of: ({ plan }) => plan.label, cell: passCell },
			{ name: 'Product', of: ({ productName }) => productName },
			{ name: 'Rate', of: ({ rate }) => (rate.applies ? rate.value : undefined), cell: rateCell, number: true },
			{ name: 'Placement', of: ({ plan }) => placementText(plan, units) },
			{ name: `Supplies, ${units === 'us' ? 'lb/ac' : 'kg/ha'}`, cell: suppliesCell },
			{ name: 'Cost', of: ({ cost }) => (cost.applies ? cost.value : undefined), cell: costCell, number: true },
			{ name: '', cell: actsCell }
		]}
	/>
</section>

<style>
	.nowrap {
		white-space: nowrap;
	}
	.pass {
		min-width: 14rem;
	}
	section :global(tr.done td) {
		color: var(--ink-soft);
	}
	.caution {
		color: var(--accent-ink);
		max-width: 34rem;
	}
</style>
