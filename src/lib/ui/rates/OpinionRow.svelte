<!-- One nutrient: every school's rate side by side, and the adviser's own. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { SvelteMap } from 'svelte/reactivity';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { nutrientColor } from '../figure/nutrient-color';
	import OpinionCell from './OpinionCell.svelte';
	import OwnRate from './OwnRate.svelte';
	import SimulatedConfirm from './SimulatedConfirm.svelte';
	import { remove, save, type YearAddress } from '../forms/call';

	interface Props {
		row: RatesPage['rows'][number];
		address: YearAddress;
		units: UnitSystem;
		/** The school that suits who holds the ground, with the reason. */
		suits?: RatesPage['tenure'];
		/** What opens under the row, and what its button says. */
		panel?: Snippet;
		panelLabel?: string;
		/** Where tests in the standing crop are booked. */
		walk?: string;
	}
	const { row, address, units, suits, panel, panelLabel = '', walk }: Props = $props();

	const giving = $derived(row.opinions.filter(({ answer }) => answer.applies));
	/** Rules that hold for one kind of programme only: shown grey while the plan is another. */
	const waiting = $derived(row.opinions.filter(({ answer, schoolId }) => !answer.applies && isForProgramme(schoolId)));
	/** Schools that do not apply, those with the same reason together. */
	const silent = $derived.by(() => {
		const reasons = new SvelteMap<string, string[]>();
		for (const { answer, school, schoolId, guide } of row.opinions) {
			if (answer.applies || isForProgramme(schoolId)) continue;
			const why = `${answer.reason}. ${answer.remedy}`;
			reasons.set(why, [...(reasons.get(why) ?? []), `${school} (${guide})`]);
		}
		return [...reasons].map(([why, schools]) => ({ why, schools: [...new Set(schools)].join(', ') }));
	});
	let open = $state(false);

	let problem = $state('');

	function isForProgramme(schoolId: string): boolean {
		return schoolId === 'placed-and-timed';
	}

	/** Plans the passes that a rule for one kind of programme asks for, and chooses it. */
	async function planSo(method: string): Promise<void> {
		problem = await save('POST /api/fields/{field}/{year}/programme', address, { placed: method });
	}

	/** A simulated curve that the adviser is asked about. */
	let asking = $state.raw<{ opinion: (typeof row.opinions)[number]; bothYears: boolean } | undefined>();

	function chooseOrAsk(opinion: (typeof row.opinions)[number], bothYears: boolean): void {
		if (opinion.simulated) asking = { opinion, bothYears };
		else void choose(opinion, bothYears, false);
	}

	async function choose(
		{ method }: (typeof row.opinions)[number],
		bothYears: boolean,
		confirmed: boolean
	): Promise<void> {
		const choice = { nutrient: row.nutrient, method, ...(bothYears ? { bothYears } : {}) };
		problem = await save('POST /api/fields/{field}/{year}/choices', address, {
			choices: [choice],
			...(confirmed ? { confirmSimulated: true } : {})
		});
		asking = undefined;
	}

	async function leaveOpen(): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/{year}/choices/{nutrient}', {
			...address,
			nutrient: row.nutrient
		});
	}
</script>

<section aria-label={row.name}>
	<div class="name">
		<h2 style:--mark={nutrientColor(row.nutrient)}>
			{row.nutrient === 'lime' ? 'Lime' : row.nutrient}
		</h2>
		<span class="soft small">{row.unit}</span>
		{#if row.choice}
			<button type="button" class="plain small" onclick={leaveOpen}>Leave open</button>
		{/if}
		{#if panel}
			<button type="button" class="plain small" aria-expanded={open} onclick={() => (open = !open)}>
				{open ? 'Close' : panelLabel}
			</button>
		{/if}
	</div>
	<div class="cells">
		{#each giving as opinion (opinion.method)}
			<OpinionCell
				{opinion}
				nutrientName={row.name}
				repeats={row.repeats.has(opinion.title)}
				chosen={row.choice?.method !== opinion.method ? undefined : row.choice.bothYears ? 'both years' : 'this year'}
				suits={suits?.school === opinion.schoolId ? suits.why : undefined}
				{walk}
				choose={(bothYears) => chooseOrAsk(opinion, bothYears)}
			/>
		{/each}
		{#each waiting as { method, school, guide, answer } (method)}
			<div class="cell waiting">
				<div class="school">{school} <span class="soft">{guide}</span></div>
				{#if !answer.applies}
					<div class="small"><strong>Not on this programme:</strong> {answer.reason}.</div>
					<div class="small">{answer.remedy}</div>
				{/if}
				<div class="pick">
					<button type="button" class="plain" onclick={() => planSo(method)}>Plan the passes so</button>
				</div>
			</div>
		{/each}
		<OwnRate {row} {address} {units} />
	</div>
	{#if silent.length > 0 || row.lapsed}
		<ul class="silent small">
			{#if row.lapsed}<li class="lapsed">What was chosen here no longer gives a rate.</li>{/if}
			{#each silent as { why, schools } (why)}
				<li><strong>{schools}</strong> <span class="soft">does not apply: {why}</span></li>
			{/each}
			{#if walk}<li><a href={walk}>Book a test in the standing crop</a></li>{/if}
		</ul>
	{/if}
	{#if asking}
		{@const { opinion, bothYears } = asking}
		<SimulatedConfirm
			title={opinion.title}
			confirm={() => void choose(opinion, bothYears, true)}
			close={() => (asking = undefined)}
		/>
	{/if}
	{#if panel && open}<div class="panel">{@render panel()}</div>{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	section {
		display: grid;
		grid-template-columns: 5.2rem 1fr;
		gap: 0.75rem;
		padding: 0.7rem 0;
		border-top: 1px solid var(--rule);
	}
	.name {
		display: grid;
		align-content: start;
		justify-items: start;
		text-align: left;
		gap: 0.15rem;
	}
	h2 {
		margin: 0;
		border-bottom: 3px solid var(--mark);
		padding-bottom: 1px;
	}
	.cells {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
		gap: 0.5rem;
	}
	.cell {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.6rem 0.8rem 0.7rem;
		display: flex;
		flex-direction: column;
		gap: 0.15rem;
	}
	.waiting {
		background: var(--paper-deep);
		border-style: dashed;
		color: var(--ink-soft);
	}
	.school {
		font-weight: 600;
		font-size: 0.88rem;
	}
	.silent {
		grid-column: 2;
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.15rem;
	}
	.silent strong {
		font-weight: 600;
	}
	.panel {
		contain: layout;
		grid-column: 1 / -1;
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.9rem 1.1rem 1.1rem;
	}
	.pick {
		margin-top: auto;
		padding-top: 0.3rem;
		display: flex;
		gap: 1rem;
	}
	.name button {
		text-align: left;
	}
	.lapsed,
	.problem {
		color: var(--stop);
	}
	@media (max-width: 640px) {
		section {
			grid-template-columns: 1fr;
		}
		.silent {
			grid-column: 1;
		}
	}
</style>
