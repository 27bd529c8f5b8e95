<!-- One school's rate for one nutrient, and how it is chosen. -->
<script lang="ts">
	import Mark from '../figure/Mark.svelte';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { capital } from '$lib/objective-names';
	import Bases from '../figure/Bases.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import RateCard from './RateCard.svelte';

	interface Props {
		opinion: RatesPage['rows'][number]['opinions'][number];
		nutrientName: string;
		/** How it stands chosen, if it does. */
		chosen: 'this year' | 'both years' | undefined;
		/** Why it suits who holds the ground; undefined where another school does. */
		suits: string | undefined;
		/** Where tests in the crop are recorded. */
		walk: string | undefined;
		choose: (bothYears: boolean) => void;
	}
	const { opinion, nutrientName, chosen, suits, walk, choose }: Props = $props();
</script>

<RateCard
	look={chosen === undefined ? 'plain' : 'chosen'}
	heading={opinion.objective ? capital(opinion.objective) : opinion.school}
	guide={opinion.guide}
>
	<div class="rate">
		{#if opinion.none}<span>none</span>{/if}
		<Quantity answer={opinion.answer} bare label={`${nutrientName} by ${opinion.guide}: ${opinion.title}`} />
	</div>
	<div class="small soft">
		{#if opinion.none}{opinion.none}{:else if opinion.cost.applies}<Quantity answer={opinion.cost} />{:else}{opinion
				.cost.reason}{/if}
	</div>
	<Bases bases={opinion.bases} />
	{#if opinion.simulated}<div class="small mark-about"><Mark /> simulated, not measured</div>{/if}
	{#if opinion.objective}<div class="small soft">{opinion.curve}</div>{/if}
	{#if opinion.stands}
		<div class="small soft">
			{opinion.stands === 'for this dressing'
				? 'for this application'
				: opinion.stands}{#if opinion.total?.applies && opinion.answer.applies && opinion.total.value !== opinion.answer.value},
				<Quantity answer={opinion.total} /> with what was applied{/if}
		</div>
	{/if}
	{#each opinion.zones as zone, at (at)}
		<div class="small soft">{zone.name} <Quantity answer={zone.rate} bare /></div>
	{/each}
	{#if opinion.of && !opinion.none}<div class="small soft">{opinion.of}</div>{/if}
	{#if opinion.name === opinion.title}<div class="small soft">{opinion.title}</div>{/if}
	{#if opinion.approximate}<div class="small mark-about">≈ approximate: {opinion.approximate}</div>{/if}
	{#if suits}<div class="small mark-suits">{suits}</div>{/if}
	{#snippet pick()}
		{#if chosen === 'this year'}
			<span class="mark">✓ chosen</span>
		{:else if opinion.stands === 'for this dressing'}
			<a href={walk}>Take it into the season</a>
		{:else}
			<button
				type="button"
				class="plain"
				aria-label={`Choose ${opinion.title}, ${opinion.guide}`}
				onclick={() => choose(false)}>Choose</button
			>
		{/if}
		{#if opinion.bothYears?.applies}
			<div class="both small">
				Both crops in one pass: <strong><Quantity answer={opinion.bothYears} bare /></strong>
				{#if chosen === 'both years'}<span class="mark">✓ chosen</span>{:else}<button
						type="button"
						class="plain"
						onclick={() => choose(true)}>Choose both crops</button
					>{/if}
			</div>
		{/if}
	{/snippet}
</RateCard>

<style>
	.both {
		flex: 1 0 100%;
		border-top: 1px solid var(--rule);
		margin-top: 0.35rem;
		padding-top: 0.35rem;
	}
	.mark-about {
		color: var(--accent-ink);
	}
	.mark-suits {
		color: var(--action);
	}
</style>
