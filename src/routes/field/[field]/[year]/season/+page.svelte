<script lang="ts">
	import Mark from '$lib/ui/figure/Mark.svelte';
	import { Button } from 'carbon-components-svelte';
	import { notApplicable } from '$core/figure/figure';
	import { stageText } from '$core/season/stages/stage-dates';
	import { stagesOfYear } from '$core/season/stages/stages-of-year';
	import { passKept, passMoved, programmeTaken, remedyTaken, type PlanChange } from '$core/season/plan/plan-change';
	import { onTheirDays, wholePass } from '$core/season/applied/what-happened';
	import { tripOf } from '$core/season/plan/trips';
	import type { Pass, Remedy } from '$core/schema-types';
	import Board from '$lib/ui/season/board/Board.svelte';
	import CheckList from '$lib/ui/season/board/CheckList.svelte';
	import HarvestBalance from '$lib/ui/season/board/HarvestBalance.svelte';
	import { boardYear, liveSeason, programmesBeside, withMoved } from '$core/season/live/live-season';
	import NoPasses from '$lib/ui/season/board/NoPasses.svelte';
	import { roomOf, stageInYear } from '$lib/ui/season/board/chosen-pass';
	import PassPanel from '$lib/ui/season/board/PassPanel.svelte';
	import PassTable from '$lib/ui/season/board/PassTable.svelte';
	import ProgrammeTable from '$lib/ui/season/board/ProgrammeTable.svelte';
	import SeasonHead from '$lib/ui/season/board/SeasonHead.svelte';
	import SeasonSums from '$lib/ui/season/board/SeasonSums.svelte';
	import NeedsSample from '$lib/ui/frame/NeedsSample.svelte';
	import AfterHarvest from '$lib/ui/season/AfterHarvest.svelte';
	import PlanOverSeasons from '$lib/ui/season/decisions/PlanOverSeasons.svelte';
	import { call, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let problem = $state('');
	/** What a proposal could not place. */
	let notes = $state<string[]>([]);
	let editing = $state.raw<{ pass?: Pass; tripOf?: Pass } | undefined>();
	let losing = $state(false);
	let chosenId = $state<string | undefined>();
	/** The pass that is on its way, and the day it is shown on. */
	let moved = $state.raw<{ pass: Pass; date: string } | undefined>();

	const season = $derived(data.season);
	const address = $derived({ field: data.fieldId, year: data.year });
	const records = $derived(season?.passes ?? []);
	const planned = $derived(records.filter(({ doneOn }) => doneOn === null).length);
	const done = $derived(new Set(records.filter(({ doneOn }) => doneOn !== null).map(({ plan }) => plan.id)));

	const kept = $derived(onTheirDays(records));
	/** Applied passes stay where they are, also where the rest of their trip moves. */
	const open = $derived(kept.filter(({ id }) => !done.has(id)));
	const shown = $derived(withMoved(kept, moved));
	const year = $derived(season && boardYear(season.ground));
	/** As the sheet dates them, whatever year is shown. */
	const usual = $derived(season ? stagesOfYear(season.ground.context) : []);
	const live = $derived(season && year && liveSeason(season.ground, year, shown));

	const programmes = $derived(
		season && year ? programmesBeside(season.ground, year, kept, (item) => season.prices.get(item)) : []
	);

	const grave = $derived(live?.checks.find(({ pass, severity }) => pass !== undefined && severity !== 'note')?.pass);
	/** The one that is chosen, else where the adviser should look first. */
	const chosen = $derived(
		records.find(({ plan }) => plan.id === chosenId) ??
			records.find(({ plan }) => plan.id === grave) ??
			records.find(({ doneOn }) => doneOn === null) ??
			records[0]
	);
	const chosenPass = $derived(shown.find(({ id }) => id === chosen?.plan.id));
	const nameOf = (id: string) => records.find(({ plan }) => plan.id === id)?.plan.label;
	const room = $derived(
		season && chosenPass ? roomOf(season.ground.context, chosenPass, shown, data.units) : notApplicable('room', '', '')
	);
	const stage = $derived(
		season && year && chosenPass ? stageInYear(season.ground.context, year.stages, chosenPass.date) : undefined
	);

	async function propose(): Promise<void> {
		const { answer, problem: failed } = await call('POST /api/fields/{field}/{year}/programme', address, {});
		problem = failed ?? '';
		notes = answer?.notes ?? [];
	}

	async function change(made: PlanChange): Promise<string> {
		// What the page shows once earlier changes are done: a second step of the keys starts from the first.
		const seen = () => records.flatMap(({ plan }) => (made.removed.includes(plan.id) ? [wholePass(plan)] : []));
		problem = await save('POST /api/fields/{field}/{year}/passes', address, () => ({ ...made, seen: seen() }));
		if (!problem) editing = undefined;
		return problem;
	}

	const applyRemedy = (remedy: Remedy, id: string | undefined) => change(remedyTaken(remedy, id, open));
	const removePass = ({ id }: Pass) => change({ removed: [id], added: [] });

	async function keepMoved(): Promise<void> {
		const going = moved;
		if (!going) return;
		const made = passMoved(going.pass, going.date, open);
		if (made) await change(made);
		if (moved === going) moved = undefined;
	}

	async function setDone(pass: Pass, isDone: boolean): Promise<void> {
		problem = await save('PUT /api/fields/{field}/{year}/done', address, {
			pass: pass.id,
			doneOn: isDone ? pass.date : null,
			seen: wholePass(pass)
		});
	}
</script>

<div class="page">
	{#if !data.hasSample}
		<h1>The season</h1>
		<NeedsSample />
	{:else if !season || !year || !live}
		<h1>The season</h1>
		<div class="empty">
			<h2>No crop and goal for {data.year} yet</h2>
			<Button size="small" href={`/field/${data.fieldId}/${data.year}/rates`}>Set the goal under Rates</Button>
		</div>
	{:else}
		<SeasonHead {season} />

		<div class="desk">
			<section aria-label="The board">
				<Board
					plots={`/field/${data.fieldId}/${data.year}/season/plots?weather=${season.ground.kind}`}
					ground={season.ground}
					{year}
					{live}
					{kept}
					{shown}
					{done}
					units={data.units}
					selected={chosen?.plan.id}
					choose={(id) => (chosenId = id)}
					show={(pass, date) => (moved = { pass: kept.find(({ id }) => id === pass.id)!, date })}
					keep={keepMoved}
					drop={() => (moved = undefined)}
				/>
				<p class="soft small">
					A screening model: it shows which way things go. Weather of
					<a href="/weather">{season.station.name}</a>, not of your farm; measured and expected days stand in it.
					{#if live.run && live.run.assumed.length > 0}Assumed, not measured: {live.run.assumed.join('; ')}.{/if}
				</p>
				<div class="row">
					<Button size="small" kind="tertiary" onclick={() => (editing = {})}>Add a pass</Button>
					{#if season.chosen.length > 0 && records.length > 0}
						<Button size="small" kind="ghost" onclick={propose}>
							{planned > 0 ? 'Propose again from the rates' : 'Propose passes from the rates'}
						</Button>
					{/if}
					{#if planned > 0}
						<Button size="small" kind="ghost" onclick={() => (losing = true)}>Frost or hail</Button>
					{/if}
				</div>
			</section>

			<div class="side">
				{#if records.length === 0}
					<NoPasses hasRates={season.chosen.length > 0} rates={`/field/${data.fieldId}/${data.year}/rates`} {propose} />
				{:else if chosen && chosenPass}
					<PassPanel
						pass={chosenPass}
						units={data.units}
						doneOn={chosen.doneOn}
						part={chosen.part}
						records={`/field/${data.fieldId}/${data.year}/book`}
						productName={chosen.productName}
						rate={chosen.rate}
						bases={chosen.bases}
						spray={chosen.spray}
						nutrients={chosen.nutrients}
						cost={chosen.cost}
						{room}
						cautions={chosen.cautions}
						{stage}
						together={tripOf(chosenPass, kept)
							.filter(({ id }) => id !== chosenPass.id)
							.map(({ label }) => label)}
						checks={live.checks.filter(({ pass }) => pass === chosenPass.id)}
						apply={applyRemedy}
						edit={() => (editing = { pass: wholePass(chosen.plan) })}
						addProduct={() => (editing = { tripOf: chosen.plan })}
						remove={() => removePass(chosen.plan)}
						setDone={(isDone) => setDone(chosen.plan, isDone)}
					/>
				{/if}
				{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
				{#each notes as note, at (at)}<p class="note" role="status"><Mark /> {note}</p>{/each}
				{#if records.length > 0}
					{@const others = live.checks.filter(({ pass }) => pass !== chosenPass?.id)}
					<section class="others" aria-label="Checks of the rest of the plan">
						<h3>The rest of the plan</h3>
						{#if live.checks.length === 0}
							<p>No problem found by the rules checked.</p>
						{:else if others.length === 0}
							<p class="soft">No other problem found.</p>
						{/if}
						<CheckList checks={others} {nameOf} choose={(id) => (chosenId = id)} apply={applyRemedy} />
					</section>
				{/if}
			</div>
		</div>

		{#if records.length > 0}
			<div class="two section">
				<SeasonSums {season} />
				{#if live.run}<section aria-label="By harvest">
						<HarvestBalance run={live.run} kind={season.ground.kind} />
					</section>{/if}
			</div>
			{#if season.after}
				{@const { sown, second, after, catchCrops: known } = season}
				<AfterHarvest {address} {sown} {second} {after} {known} kind={season.ground.kind} units={data.units} />
			{/if}
			{#if programmes.length > 0 && live.run}
				<ProgrammeTable
					{programmes}
					unit={live.run.unit}
					units={data.units}
					kind={season.ground.kind}
					take={(programme) => change(programmeTaken(programme, kept, done))}
				/>
			{/if}
			<PlanOverSeasons {address} {season} catalogue={data.catalogue} units={data.units} />
			<PassTable
				rows={records}
				records={`/field/${data.fieldId}/${data.year}/book`}
				units={data.units}
				stageOf={(date) => stageText(usual, date)}
				severityOf={(id) => live.checks.find(({ pass }) => pass === id)?.severity}
				choose={(id) => (chosenId = id)}
				edit={(pass) => (editing = { pass: wholePass(pass) })}
				remove={(pass) => void removePass(pass)}
				{setDone}
			/>
			<p class="section">
				<Button size="small" href={`/field/${data.fieldId}/${data.year}/sheet`}>To the grower’s sheet</Button>
			</p>
		{/if}
	{/if}
</div>

<!-- The forms come when they are asked for: the board is the larger part of a visit. -->
{#if editing && season}
	{#await import('$lib/ui/season/PassForm.svelte') then { default: PassForm }}
		<PassForm
			pass={editing.pass}
			tripOf={editing.tripOf}
			catalogue={data.catalogue}
			context={season.ground.context}
			plan={kept}
			keep={(pass) => change(passKept(pass, editing ?? {}, kept))}
			close={() => (editing = undefined)}
		/>
	{/await}
{/if}

{#if losing && season}
	{#await import('$lib/ui/season/CropLoss.svelte') then { default: CropLoss }}
		<CropLoss {address} date={season.plantingDate} close={() => (losing = false)} />
	{/await}
{/if}

<style>
	.desk {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 20rem;
		gap: 0 1.6rem;
		align-items: start;
	}
	.side {
		border-left: 1px solid var(--rule);
		padding-left: 1.4rem;
	}
	.others {
		margin-top: 1.2rem;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(280px, 1fr) minmax(280px, 1fr);
		gap: 2.5rem;
	}
	.note {
		color: var(--accent-ink);
		margin-top: 0.8rem;
	}
	@media (max-width: 900px) {
		.desk,
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
		.side {
			border-left: 0;
			padding-left: 0;
		}
	}
</style>
