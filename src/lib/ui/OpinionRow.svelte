<!-- One nutrient: every school's rate side by side, and the adviser's own. -->
<script lang="ts">
	import { Button, InlineNotification, TextInput } from 'carbon-components-svelte';
	import type { Snippet } from 'svelte';
	import { SvelteMap } from 'svelte/reactivity';
	import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import type { PageData } from '../../routes/field/[field]/[year]/rates/$types';
	import { nutrientColor } from './nutrient-color';
	import { numberOrUndefined } from './numbers';
	import { post } from './post';
	import SimulatedConfirm from './SimulatedConfirm.svelte';
	import Quantity from './Quantity.svelte';

	interface Props {
		row: PageData['rows'][number];
		base: string;
		units: UnitSystem;
		/** The school that suits who holds the ground, with the reason. */
		suits?: PageData['tenure'];
		/** What opens under the row, and what its button says. */
		panel?: Snippet;
		panelLabel?: string;
		/** Where tests in the standing crop are booked. */
		walk?: string;
	}
	const { row, base, units, suits, panel, panelLabel = '', walk }: Props = $props();

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

	let writing = $state(false);
	let rate = $state('');
	let reason = $state('');
	let problem = $state('');

	function isForProgramme(schoolId: string): boolean {
		return schoolId === 'placed-and-timed';
	}

	/** Plans the passes that a rule for one kind of programme asks for, and chooses it. */
	async function planSo(method: string): Promise<void> {
		problem = (await post(base.replace('/choices', '/programme'), { placed: method })) ?? '';
	}

	/** A simulated curve that the adviser is asked about. */
	let asking = $state.raw<{ method: string; school: string; title: string } | undefined>();

	function chooseOrAsk({ method, school, title, simulated }: (typeof row.opinions)[number]): void {
		if (simulated) asking = { method, school, title };
		else void choose(method, school);
	}

	async function choose(method: string, school: string, bothYears = false, confirmed = false): Promise<void> {
		const label = `Chose ${school.toLowerCase()} for ${row.nutrient}${bothYears ? ', two years in one pass' : ''}`;
		const choice = { nutrient: row.nutrient, method, ...(bothYears ? { bothYears } : {}) };
		problem = (await post(base, { label, choices: [choice], ...(confirmed ? { confirmSimulated: true } : {}) })) ?? '';
		asking = undefined;
	}

	async function leaveOpen(): Promise<void> {
		problem = (await post(base, { nutrient: row.nutrient }, 'DELETE')) ?? '';
	}

	async function keepOwn(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const value = numberOrUndefined(rate);
		if (value === undefined || value < 0) return void (problem = `The rate “${rate}” must be a number, 0 or more.`);
		if (reason.trim().length < 3) return void (problem = 'Say why: the reason stands on the sheet.');
		const ownRate = valueFromSystem(value, row.ownUnit, units);
		const label = `Set ${row.nutrient} by own judgement`;
		problem =
			(await post(base, { label, choices: [{ nutrient: row.nutrient, ownRate, reason: reason.trim() }] })) ?? '';
		if (problem === '') writing = false;
	}

	function write(): void {
		rate = row.own?.applies ? String(+row.own.value.toFixed(2)) : '';
		reason = row.choice?.reason ?? '';
		writing = true;
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
			{@const chosen = row.choice?.method === opinion.method}
			{@const single = chosen && !row.choice?.bothYears}
			{@const both = chosen && row.choice?.bothYears === true}
			<div class="cell" class:chosen>
				<div class="school">{opinion.school} <span class="soft">{opinion.objective ?? opinion.guide}</span></div>
				<div class="rate">
					{#if opinion.none}<span>none</span>{/if}
					<Quantity answer={opinion.answer} bare label={`${row.name} by ${opinion.guide}: ${opinion.title}`} />
				</div>
				<div class="small soft">
					{#if opinion.none}{opinion.none}{:else if opinion.cost.applies}<Quantity
							answer={opinion.cost}
						/>{:else}{opinion.cost.reason}{/if}
				</div>
				{#if opinion.simulated}<div class="small mark-about">▲ simulated, not measured</div>{/if}
				{#if opinion.objective}<div class="small soft">{opinion.curve}</div>{/if}
				{#if opinion.stands}
					<div class="small soft">
						{opinion.stands}{#if opinion.total?.applies && opinion.answer.applies && opinion.total.value !== opinion.answer.value},
							<Quantity answer={opinion.total} /> with what was applied{/if}
					</div>
				{/if}
				{#each opinion.zones as zone (zone.name)}
					<div class="small soft">{zone.name} <Quantity answer={zone.rate} bare /></div>
				{/each}
				{#if opinion.of && !opinion.none}<div class="small soft">{opinion.of}</div>{/if}
				{#if row.repeats.has(opinion.title) && !opinion.objective}<div class="small soft">{opinion.title}</div>{/if}
				{#if opinion.approximate}<div class="small mark-about">≈ approximate: {opinion.approximate}</div>{/if}
				{#if suits?.school === opinion.schoolId}<div class="small mark-suits">{suits.why}</div>{/if}
				<div class="pick">
					{#if single}
						<span class="mark">✓ chosen</span>
					{:else if opinion.stands === 'for this dressing'}
						<a href={walk}>Take it into the season</a>
					{:else}
						<button
							type="button"
							class="plain"
							aria-label={`Choose ${opinion.title}, ${opinion.guide}`}
							onclick={() => chooseOrAsk(opinion)}>Choose</button
						>
					{/if}
				</div>
				{#if opinion.bothYears?.applies}
					<div class="both small">
						Both years in one pass: <strong><Quantity answer={opinion.bothYears} bare /></strong>
						{#if both}<span class="mark">✓ chosen</span>{:else}<button
								type="button"
								class="plain"
								onclick={() => choose(opinion.method, opinion.school, true)}>Choose both years</button
							>{/if}
					</div>
				{/if}
			</div>
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
		<div class="cell own" class:chosen={row.own !== undefined}>
			<div class="school">Your own</div>
			{#if writing}
				<form onsubmit={keepOwn}>
					<TextInput size="sm" labelText={`Rate, ${row.unit}`} inputmode="decimal" bind:value={rate} />
					<TextInput size="sm" labelText="Because" bind:value={reason} />
					{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
					<div class="row">
						<Button size="small" type="submit">Keep it</Button>
						<Button size="small" kind="ghost" onclick={() => (writing = false)}>Cancel</Button>
					</div>
				</form>
			{:else if row.own?.applies}
				<div class="rate"><Quantity answer={row.own} bare label={`${row.name}, your own`} /></div>
				<div class="small soft">because: {row.choice?.reason}</div>
				<div class="pick">
					<span class="mark">✓ chosen</span>
					<button type="button" class="plain" onclick={write}>Change</button>
				</div>
			{:else}
				<button type="button" class="plain" onclick={write}>Write a rate</button>
			{/if}
		</div>
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
		{@const { method, school, title } = asking}
		<SimulatedConfirm
			{title}
			confirm={() => void choose(method, school, false, true)}
			close={() => (asking = undefined)}
		/>
	{/if}
	{#if panel && open}<div class="panel">{@render panel()}</div>{/if}
	{#if problem && !writing}<p class="problem" role="alert">{problem}</p>{/if}
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
	.chosen {
		border: 2px solid var(--action);
		background: var(--action-wash);
		padding: calc(0.6rem - 1px) calc(0.8rem - 1px) calc(0.7rem - 1px);
	}
	.waiting {
		background: var(--paper-deep);
		border-style: dashed;
		color: var(--ink-soft);
	}
	.own:not(.chosen) {
		background: transparent;
	}
	.school {
		font-weight: 600;
		font-size: 0.88rem;
	}
	.school .soft {
		font-weight: 400;
	}
	.rate {
		font-size: 1.5rem;
		font-weight: 650;
		line-height: 1.25;
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
	.both {
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
	.pick {
		margin-top: auto;
		padding-top: 0.3rem;
		display: flex;
		gap: 1rem;
	}
	.name button {
		text-align: left;
	}
	.cell > button {
		align-self: start;
	}
	.mark {
		color: var(--action);
		font-weight: 650;
	}
	.lapsed,
	.problem {
		color: var(--stop);
	}
	form {
		display: grid;
		gap: 0.6rem;
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
