<!-- The approaches of one nutrient in full: each with its cost and conditions, and why others give no rate. -->
<script lang="ts">
	import { SvelteMap } from 'svelte/reactivity';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import Quantity from '../figure/Quantity.svelte';
	import OpinionCell from './OpinionCell.svelte';
	import RateCard from './RateCard.svelte';
	import { lackingIn } from './lacking';

	type Row = RatesPage['rows'][number];

	interface Props {
		row: Row;
		/** The approach that suits who holds the ground, with the reason. */
		suits: RatesPage['tenure'];
		/** Where tests in the crop are recorded. */
		walk: string | undefined;
		choose: (opinion: Row['opinions'][number], bothYears: boolean) => void;
		/** Plans the passes that a rule for one kind of programme asks for, and chooses it. */
		planSo: (method: string) => void;
		leaveOpen: () => void;
	}
	const { row, suits, walk, choose, planSo, leaveOpen }: Props = $props();

	const giving = $derived(row.opinions.filter(({ answer }) => answer.applies));
	const others = $derived(lackingIn(row));
	/** Rules that hold for one kind of programme only: shown grey while the plan is another. */
	const waiting = $derived(others.filter(({ schoolId }) => isForProgramme(schoolId)));
	/** Approaches that lack something here, those with the same reason together. */
	const lacking = $derived.by(() => {
		const reasons = new SvelteMap<string, string[]>();
		for (const { answer, school, schoolId, guide } of others) {
			if (answer.applies || isForProgramme(schoolId)) continue;
			const why = `${answer.reason}. ${answer.remedy}`;
			reasons.set(why, [...(reasons.get(why) ?? []), `${school} (${guide})`]);
		}
		return [...reasons].map(([why, schools]) => ({ why, schools: [...new Set(schools)].join(', ') }));
	});

	function isForProgramme(schoolId: string): boolean {
		return schoolId === 'placed-and-timed';
	}
</script>

<div class="cells">
	{#each giving as opinion (opinion.method)}
		<OpinionCell
			{opinion}
			nutrientName={row.name}
			chosen={row.choice?.method !== opinion.method ? undefined : row.choice.bothYears ? 'both years' : 'this year'}
			suits={suits?.school === opinion.schoolId ? suits.why : undefined}
			{walk}
			choose={(bothYears) => choose(opinion, bothYears)}
		/>
	{/each}
	{#if row.own?.applies}
		<RateCard look="chosen" heading="Your own">
			<div class="rate"><Quantity answer={row.own} bare label={`${row.name}, your own`} /></div>
			<div class="small soft">because: {row.choice?.reason}</div>
			{#snippet pick()}<span class="mark">✓ chosen</span>{/snippet}
		</RateCard>
	{/if}
	{#each waiting as { method, school, guide, answer } (method)}
		<RateCard look="waiting" heading={school} {guide}>
			{#if !answer.applies}
				<div class="small"><strong>Not on this programme:</strong> {answer.reason}.</div>
				<div class="small">{answer.remedy}</div>
			{/if}
			{#snippet pick()}
				<button type="button" class="plain" onclick={() => planSo(method)}>Plan the passes so</button>
			{/snippet}
		</RateCard>
	{/each}
</div>
{#if row.choice}<p class="small">
		<button type="button" class="plain" onclick={leaveOpen}>Leave {row.name.toLowerCase()} open</button>
	</p>{/if}
{#if lacking.length > 0}
	<ul class="lacking small">
		{#each lacking as { why, schools }, at (at)}
			<li><strong>{schools}</strong> <span class="soft">does not apply: {why}</span></li>
		{/each}
		{#if walk}<li><a href={walk}>Record a test in the crop</a></li>{/if}
	</ul>
{/if}

<style>
	.cells {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
		gap: 0.5rem;
	}
	.lacking {
		list-style: none;
		margin: 0.4rem 0 0;
		padding: 0;
		display: grid;
		gap: 0.15rem;
	}
	.lacking strong {
		font-weight: 600;
	}
</style>
