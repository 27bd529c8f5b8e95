<!-- One nutrient in one line: what is chosen, every approach on one scale, and the doors to what stands behind. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { formatNumber } from '$core/units/display';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { nutrientColor } from '../figure/nutrient-color';
	import Bases from '../figure/Bases.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import Severity from '../figure/Severity.svelte';
	import { remove, save, type YearAddress } from '../forms/call';
	import OwnRate from './OwnRate.svelte';
	import { lackingIn } from './lacking';
	import RateCards from './RateCards.svelte';
	import SimulatedConfirm from './SimulatedConfirm.svelte';
	import RateStrip from './strip/RateStrip.svelte';

	type Row = RatesPage['rows'][number];

	interface Props {
		row: Row;
		address: YearAddress;
		units: UnitSystem;
		suits?: RatesPage['tenure'];
		/** What opens under the row, and what its door says. */
		panel?: Snippet;
		panelLabel?: string;
		/** Where tests in the crop are recorded. */
		walk?: string;
	}
	const { row, address, units, suits, panel, panelLabel = '', walk }: Props = $props();

	/** What is open under the row. */
	let open = $state<'details' | 'panel' | 'own' | undefined>();
	let problem = $state('');
	/** A simulated curve that the adviser is asked about. */
	let asking = $state.raw<{ opinion: Row['opinions'][number]; bothYears: boolean } | undefined>();

	const given = $derived(row.opinions.flatMap(({ answer }) => (answer.applies ? [answer.value] : [])));
	const spread = $derived.by(() => {
		if (given.length === 0) return 'no approach gives a rate';
		const text = (value: number) => formatNumber(value, row.unit);
		const [low, high] = [text(Math.min(...given)), text(Math.max(...given))];
		return `${given.length} ${given.length === 1 ? 'approach' : 'approaches'}, ${low === high ? low : `${low} to ${high}`}`;
	});
	/** What would let another approach speak, each once. */
	const lacks = $derived([
		...new Set(lackingIn(row).flatMap(({ answer }) => (answer.applies ? [] : (answer.lacks ?? []))))
	]);
	/** Where every approach says none: why the first one does. */
	const none = $derived(
		given.every((value) => value === 0) ? row.opinions.find(({ none: why }) => why)?.none : undefined
	);

	const toggle = (part: NonNullable<typeof open>) => (open = open === part ? undefined : part);

	async function planSo(method: string): Promise<void> {
		problem = await save('POST /api/fields/{field}/{year}/programme', address, { placed: method });
	}

	function chooseOrAsk(opinion: Row['opinions'][number], bothYears: boolean): void {
		if (opinion.simulated) asking = { opinion, bothYears };
		else void choose(opinion, bothYears, false);
	}

	async function choose({ method }: Row['opinions'][number], bothYears: boolean, confirmed: boolean): Promise<void> {
		const choice = { nutrient: row.nutrient, method, ...(bothYears ? { bothYears } : {}) };
		problem = await save('POST /api/fields/{field}/{year}/choices', address, {
			choices: [choice],
			...(confirmed ? { confirmSimulated: true } : {})
		});
		asking = undefined;
	}

	/** The rate that the chosen method gives by now. */
	async function takeNow(): Promise<void> {
		const chosen = row.opinions.find(({ method }) => method === row.choice?.method);
		if (chosen) await choose(chosen, row.choice?.bothYears === true, chosen.simulated);
	}

	async function leaveOpen(): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/{year}/choices/{nutrient}', {
			...address,
			nutrient: row.nutrient
		});
	}
</script>

<section aria-label={row.name}>
	<div class="chosen">
		<h2>
			<span class="symbol" style:--mark={nutrientColor(row.nutrient)}
				>{row.nutrient === 'lime' ? 'Lime' : row.nutrient}</span
			>
			{#if row.chosen?.applies}<Quantity answer={row.chosen} bare label={`${row.name}, chosen`} />{:else}<span
					class="open">open</span
				>{/if}
		</h2>
		<span class="soft small">
			{row.unit}
			{#if row.cost?.applies}<Quantity answer={row.cost} />{:else if row.cost}no price{/if}
		</span>
		<Bases bases={row.bases} />
	</div>
	<RateStrip {row} choose={(opinion) => chooseOrAsk(opinion, false)} open={() => (open = 'details')} />
	<div class="aside small">
		<span class="soft">
			{spread}{#if none}; {none}{:else if row.own?.applies}; own rate because: {row.choice
					?.reason}{:else if lacks.length > 0}; more with {lacks.join(', or ')}{/if}
		</span>
		<span class="doors">
			<button type="button" class="plain" aria-expanded={open === 'details'} onclick={() => toggle('details')}
				>Details</button
			>
			{#if panel}<button type="button" class="plain" aria-expanded={open === 'panel'} onclick={() => toggle('panel')}
					>{panelLabel}</button
				>{/if}
			<button type="button" class="plain" aria-expanded={open === 'own'} onclick={() => toggle('own')}>Own rate</button>
		</span>
	</div>
	{#if row.lapsed}<p class="problem small">What was chosen here no longer gives a rate.</p>{/if}
	{#if row.moved && row.chosen?.applies}
		<p class="fault small">
			<Severity severity="mind" />
			{row.moved.text}
			<button type="button" class="plain" onclick={() => void takeNow()}
				>Take {formatNumber(row.moved.now.applies ? row.moved.now.value : 0, row.unit)}</button
			>
			<button type="button" class="plain" onclick={() => (open = 'own')}
				>Keep {formatNumber(row.chosen.value, row.unit)} as your own</button
			>
		</p>
	{/if}
	{#each row.faults as { severity, text }, at (at)}<p class="fault small"><Severity {severity} /> {text}</p>{/each}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if open === 'details'}
		<div class="under">
			<RateCards
				{row}
				{suits}
				{walk}
				choose={chooseOrAsk}
				planSo={(method) => void planSo(method)}
				leaveOpen={() => void leaveOpen()}
			/>
		</div>
	{:else if open === 'own'}
		<div class="under"><OwnRate {row} {address} {units} close={() => (open = undefined)} /></div>
	{:else if panel && open === 'panel'}
		<div class="under panel">{@render panel()}</div>
	{/if}
	{#if asking}
		{@const { opinion, bothYears } = asking}
		<SimulatedConfirm
			title={opinion.title}
			confirm={() => void choose(opinion, bothYears, true)}
			close={() => (asking = undefined)}
		/>
	{/if}
</section>

<style>
	.fault {
		grid-column: 1 / -1;
		margin: 0;
	}
	section {
		display: grid;
		grid-template-columns: 9.6rem minmax(0, 1fr) 16rem;
		gap: 0 0.9rem;
		padding: 0.2rem 0;
		border-top: 1px solid var(--rule);
	}
	.chosen {
		display: grid;
		align-content: start;
		gap: 0.1rem;
	}
	h2 {
		display: flex;
		align-items: baseline;
		gap: 0.5rem;
		margin: 0;
		font-size: 1.2rem;
		white-space: nowrap;
	}
	.symbol {
		border-bottom: 3px solid var(--mark);
		line-height: 1.2;
	}
	.open {
		color: var(--ink-soft);
		font-weight: 400;
	}
	.aside {
		display: flex;
		flex-direction: column;
		gap: 0.05rem;
		line-height: 1.3;
	}
	.doors {
		display: flex;
		flex-wrap: wrap;
		gap: 0 0.8rem;
	}
	.under,
	.problem {
		grid-column: 1 / -1;
	}
	.under {
		contain: layout;
		margin: 0.4rem 0 0.6rem;
	}
	.panel {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.9rem 1.1rem 1.1rem;
	}
	.problem {
		margin: 0;
		color: var(--stop);
	}
	@media (max-width: 900px) {
		section {
			grid-template-columns: minmax(0, 1fr);
			gap: 0.3rem;
			padding: 0.6rem 0;
		}
	}
</style>
