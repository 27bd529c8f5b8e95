<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { placementText } from '$core/season/placement-text';
	import type { Pass, Remedy } from '$core/schema-types';
	import { longDate } from '$lib/ui/dates';
	import NeedsSample from '$lib/ui/NeedsSample.svelte';
	import { nutrientColor } from '$lib/ui/nutrient-color';
	import PassDate from '$lib/ui/PassDate.svelte';
	import PassForm from '$lib/ui/PassForm.svelte';
	import { ask, post } from '$lib/ui/post';
	import Quantity from '$lib/ui/Quantity.svelte';
	import StressPanel from '$lib/ui/StressPanel.svelte';
	import SeasonRun from '$lib/ui/SeasonRun.svelte';
	import Severity from '$lib/ui/Severity.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let problem = $state('');
	/** What a proposal could not place. */
	let notes = $state<string[]>([]);
	let editing = $state<Pass | 'new' | undefined>();

	const season = $derived(data.season);
	const base = $derived(`/api/fields/${data.fieldId}/${data.year}`);
	const planned = $derived(season?.passes.filter(({ doneOn }) => doneOn === null).length ?? 0);

	async function propose(): Promise<void> {
		const { answer, problem: failed } = await ask<{ notes: string[] }>(`${base}/programme`, {});
		problem = failed ?? '';
		notes = answer?.notes ?? [];
	}

	async function change(label: string, removed: string[], added: Pass[]): Promise<string | undefined> {
		const failed = await post(`${base}/passes`, { label, removed, added });
		problem = failed ?? '';
		if (!failed) editing = undefined;
		return failed;
	}

	async function applyRemedy({ label, passes }: Remedy, pass: string | undefined): Promise<void> {
		await change(label, pass ? [pass] : [], passes);
	}

	async function setDone(pass: Pass, done: boolean): Promise<void> {
		problem = (await post(`${base}/done`, { pass: pass.id, doneOn: done ? pass.date : null })) ?? '';
	}

	/** Where the adviser's eye goes: the passes a check complains of. */
	function complaint(id: string) {
		return season?.checks.find(({ pass }) => pass === id)?.severity;
	}
</script>

<div class="page">
	{#if !data.hasSample}
		<h1>The season</h1>
		<NeedsSample />
	{:else if !season}
		<h1>The season</h1>
		<div class="empty">
			<h2>No crop and goal for {data.year} yet</h2>
			<Button size="small" href={`/field/${data.fieldId}/${data.year}/rates`}>Set the goal under Rates</Button>
		</div>
	{:else}
		<h1>The season of {season.cropName.toLowerCase()}</h1>
		<p class="soft">
			Planting {longDate(season.plantingDate)}. On one day the ground takes
			{#if season.ceiling.applies}<Quantity answer={season.ceiling} /> of nitrogen.{:else}an unknown amount of nitrogen,
				because
				{season.ceiling.reason}.{/if}
		</p>

		{#if season.passes.length === 0}
			<div class="empty">
				<h2>No passes yet</h2>
				{#if season.chosen.length === 0}
					<p>
						Choose rates first; the program then proposes passes that put them on, split by what the ground can hold.
					</p>
					<Button size="small" href={`/field/${data.fieldId}/${data.year}/rates`}>To the rates</Button>
				{:else}
					<p>
						The program can propose passes for the chosen rates, split by what the ground can hold. You change what you
						like.
					</p>
					<div class="row">
						<Button size="small" onclick={propose}>Propose passes</Button>
						<Button size="small" kind="tertiary" onclick={() => (editing = 'new')}>Add a pass by hand</Button>
					</div>
				{/if}
			</div>
		{:else}
			<table class="ledger passes">
				<thead>
					<tr>
						<th>Date</th>
						<th>Pass</th>
						<th>Product</th>
						<th class="num">Rate</th>
						<th>Placement</th>
						<th>Carries, {data.units === 'us' ? 'lb/ac' : 'kg/ha'}</th>
						<th class="num">Cost</th>
						<th></th>
					</tr>
				</thead>
				<tbody>
					{#each season.passes as { plan, doneOn, productName, rate, nutrients, room, cost, cautions } (plan.id)}
						{@const severity = complaint(plan.id)}
						<tr class:done={doneOn !== null}>
							<td class="date">
								{#if doneOn === null}
									<PassDate
										pass={plan}
										move={(date) => change(`Moved ${plan.label} to ${date}`, [plan.id], [{ ...plan, date }])}
									/>
								{:else}{longDate(plan.date)}{/if}
							</td>
							<td>
								<strong>{plan.label}</strong>
								{#if severity}<Severity {severity} />{/if}
								{#if plan.reason}<div class="small soft">{plan.reason}</div>{/if}
								{#each cautions as caution (caution)}<div class="small caution">▲ {caution}</div>{/each}
							</td>
							<td>{productName}</td>
							<td class="num"><Quantity answer={rate} /></td>
							<td>{placementText(plan)}</td>
							<td>
								{#each nutrients as { nutrient, amount } (nutrient)}
									<div class="nowrap">{nutrient} <Quantity answer={amount} bare /></div>
								{/each}
								{#if room.applies}<div class="small soft nowrap">room for <Quantity answer={room} bare /></div>{/if}
							</td>
							<td class="num"
								>{#if cost.applies}<Quantity answer={cost} />{:else}<span class="small soft">no price</span>{/if}</td
							>
							<td class="acts">
								{#if doneOn === null}
									<button type="button" class="plain" onclick={() => (editing = plan)}>Change</button>
									<button type="button" class="plain" onclick={() => change(`Removed ${plan.label}`, [plan.id], [])}
										>Remove</button
									>
									<button type="button" class="plain" onclick={() => setDone(plan, true)}>Applied</button>
								{:else}
									<span class="small">applied {longDate(doneOn)}</span>
									<button type="button" class="plain" onclick={() => setDone(plan, false)}>Take back</button>
								{/if}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<div class="row under">
				<Button size="small" kind="tertiary" onclick={() => (editing = 'new')}>Add a pass</Button>
				{#if season.chosen.length > 0}
					<Button size="small" kind="ghost" onclick={propose}>
						{planned > 0 ? 'Propose again from the rates' : 'Propose passes from the rates'}
					</Button>
				{/if}
			</div>
		{/if}
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		{#each notes as note (note)}<p class="note" role="status">▲ {note}</p>{/each}

		{#if season.passes.length > 0}
			<div class="two section">
				<section>
					<h2>Carried against chosen</h2>
					<table class="ledger sums">
						<thead><tr><th>Nutrient</th><th class="num">Chosen</th><th class="num">Carried</th></tr></thead>
						<tbody>
							{#each ['N', 'P2O5', 'K2O', 'S'] as const as nutrient (nutrient)}
								{@const chosen = season.chosen.find((one) => one.nutrient === nutrient)}
								{@const carried = season.totals.find(({ label }) => label === nutrient)}
								{#if chosen || carried}
									<tr>
										<td><span class="mark" style:background={nutrientColor(nutrient)}></span>{nutrient}</td>
										<td class="num"
											>{#if chosen}<Quantity answer={chosen.rate} />{:else}<span class="soft">open</span>{/if}</td
										>
										<td class="num"
											>{#if carried}<Quantity answer={carried} />{:else}<span class="soft">none</span>{/if}</td
										>
									</tr>
								{/if}
							{/each}
						</tbody>
					</table>
					{#if season.debt.applies}
						<p class="small">
							{season.debt.value < 0 ? 'Sweetens the ground like' : 'Lime that undoes the acid of these passes:'}
							<Quantity answer={season.debt} /> of pure CaCO3.
						</p>
					{/if}
				</section>
				<section>
					<h2>Checks</h2>
					{#if season.checks.length === 0}
						<p>Nothing against this plan.</p>
					{/if}
					{#each season.checks as check, index (index)}
						<div class="check">
							<Severity severity={check.severity} />
							<div>
								{check.text}
								<span class="soft small">{check.basis === 'practice' ? 'Common practice.' : ''}</span>
								{#if check.remedies.length > 0}
									<div class="row remedies">
										{#each check.remedies as remedy (remedy.label)}
											<Button size="small" kind="tertiary" onclick={() => applyRemedy(remedy, check.pass)}
												>{remedy.label}</Button
											>
										{/each}
									</div>
								{/if}
							</div>
						</div>
					{/each}
				</section>
			</div>
			{#if season.run}
				<SeasonRun {season} run={season.run} units={data.units} />
				<StressPanel url={`${base}/seasons`} />
			{/if}
			<p class="section">
				<Button size="small" href={`/field/${data.fieldId}/${data.year}/sheet`}>To the grower’s sheet</Button>
			</p>
		{/if}
	{/if}
</div>

{#if editing && season}
	<PassForm
		pass={editing === 'new' ? undefined : editing}
		catalogue={data.catalogue}
		units={data.units}
		plantingDate={season.plantingDate}
		keep={(pass) =>
			editing === 'new'
				? change(`Added ${pass.label}`, [], [pass])
				: change(`Changed ${pass.label}`, [pass.id], [pass])}
		close={() => (editing = undefined)}
	/>
{/if}

<style>
	.passes .date {
		white-space: nowrap;
	}
	.nowrap {
		white-space: nowrap;
	}
	.passes td:nth-child(2) {
		min-width: 14rem;
	}
	.done td {
		color: var(--ink-soft);
	}
	.caution {
		color: var(--accent-ink);
		max-width: 34rem;
	}
	.acts {
		white-space: nowrap;
	}
	.acts button {
		margin-right: 0.5rem;
	}
	.under {
		margin-top: 0.8rem;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(280px, 1fr) 2fr;
		gap: 2.5rem;
	}
	.mark {
		display: inline-block;
		width: 0.7rem;
		height: 0.7rem;
		margin-right: 0.5rem;
	}
	.check {
		display: grid;
		grid-template-columns: 4rem 1fr;
		gap: 0.5rem;
		padding: 0.45rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.remedies {
		margin-top: 0.4rem;
	}
	.problem {
		color: var(--stop);
	}
	.note {
		color: var(--accent-ink);
		margin-top: 0.8rem;
	}
	@media (max-width: 800px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
