<!-- The plan and other ways to put on the same nitrogen, over many simulated seasons. -->
<script lang="ts">
	import { Button, ProgressBar } from 'carbon-components-svelte';
	import { onDestroy } from 'svelte';
	import type { Spread, StressOutcome } from '$core/season/model/stress-test';
	import { adaptiveFigures } from '$core/season/decisions/adaptive-figures';
	import Quantity from '../figure/Quantity.svelte';
	import { adaptiveText } from '$core/season/decisions/adaptive-text';
	import { quantityIn } from '$core/units/amount-text';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { formatNumber } from '$core/units/display';
	import StressWorker from '../../../workers/stress.worker?worker';
	import type { StressRequest, StressReply } from '../../../workers/stress-messages';
	import { question, type YearAddress } from '../forms/call';

	const { address, units }: { address: YearAddress; units: UnitSystem } = $props();
	const SEASONS = 200;

	let worker: Worker | undefined;
	let progress = $state.raw<{ done: number; total: number } | undefined>();
	let outcome = $state.raw<StressOutcome | undefined>();
	const outcomes = $derived(outcome?.programmes);
	const chance = $derived(outcome?.inhibitors);
	let yieldUnit = $state('');
	let problem = $state('');

	onDestroy(() => worker?.terminate());

	async function run(): Promise<void> {
		problem = '';
		outcome = undefined;
		progress = { done: 0, total: SEASONS };
		const { answer: setup, problem: failed } = await question('GET /api/fields/{field}/{year}/seasons', address);
		if (!setup) {
			progress = undefined;
			problem = failed;
			return;
		}
		yieldUnit = setup.yieldUnit;
		worker?.terminate();
		worker = new StressWorker();
		worker.onmessage = ({ data }: MessageEvent<StressReply>) => {
			if (data.kind === 'progress') return void (progress = data);
			outcome = data.outcome;
			progress = undefined;
		};
		worker.postMessage({ setup, seasons: SEASONS } satisfies StressRequest);
	}

	function cancel(): void {
		worker?.terminate();
		worker = undefined;
		progress = undefined;
	}

	const unit = $derived(outcomes?.[0]?.unit ?? 'lb/ac');
	/** Whole, but for tonnes, of which a field brings few. */
	const number = (value: number, of: string) =>
		of === 't/ha' ? formatNumber(value, of) : formatNumber(Math.round(value), unit);
	/** An outcome that is kept in a US unit. */
	function inUnits(one: Spread, kept: string): Spread {
		const shown = (value: number) => valueInSystem(value, kept, units);
		const { mean, low, high, wet, dry } = one;
		return { ...one, mean: shown(mean), low: shown(low), high: shown(high), wet: shown(wet), dry: shown(dry) };
	}
</script>

{#snippet spread(one: Spread, of: string = unit)}
	<td class="num">
		<strong>{number(one.mean, of)}</strong>
		<div class="small soft nowrap">{number(one.low, of)} to {number(one.high, of)}</div>
	</td>
	<td class="num soft">{number(one.wet, of)}</td>
	<td class="num soft">{number(one.dry, of)}</td>
{/snippet}

<section class="section" aria-label="Simulated seasons">
	<h2>Simulated seasons</h2>
	<p class="soft small">
		The same nitrogen put on in other ways, over {SEASONS} simulated seasons: means of all, of the wettest and of the driest
		fifth; under the mean, eight seasons of ten.
	</p>
	<div class="row">
		<Button size="small" kind="tertiary" disabled={progress !== undefined} onclick={run}>Try {SEASONS} seasons</Button>
		{#if progress}<Button size="small" kind="ghost" onclick={cancel}>Cancel</Button>{/if}
	</div>
	{#if progress}
		<div class="bar">
			<ProgressBar
				size="sm"
				labelText="Seasons tried"
				value={progress.done}
				max={progress.total}
				helperText={`${progress.done} of ${progress.total}`}
			/>
		</div>
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if outcomes}
		<table class="ledger" aria-label="What each programme came to">
			<thead>
				<tr>
					<th rowspan="2">Programme</th>
					<th rowspan="2" class="num">N passes</th>
					<th colspan="3" class="group">Days short</th>
					<th colspan="3" class="group">Short of N demand, {unit}</th>
					<th colspan="3" class="group">Lost, {unit}</th>
					<th colspan="3" class="group">Residual N, {unit}</th>
					<th colspan="3" class="group">Yield, {unitInSystem(yieldUnit, units)}</th>
					<th colspan="3" class="group">Return over N, {unitInSystem('$/ac', units)}</th>
				</tr>
				<tr>
					{#each ['short', 'missing', 'lost', 'left', 'yield', 'return'] as group (group)}
						<th class="num">all</th><th class="num">wet</th><th class="num">dry</th>
					{/each}
				</tr>
			</thead>
			<tbody>
				{#each outcomes as outcome, at (at)}
					<tr>
						<td>{outcome.name}</td>
						<td class="num">{outcome.passes}</td>
						{@render spread(outcome.shortDays)}
						{@render spread(outcome.missing)}
						{@render spread(outcome.lost)}
						{@render spread(outcome.left)}
						{@render spread(inUnits(outcome.yield, yieldUnit), unitInSystem(yieldUnit, units))}
						{#if outcome.returnOverN}{@render spread(inUnits(outcome.returnOverN, '$/ac'))}{:else}<td
								colspan="3"
								class="soft small">a price is missing</td
							>{/if}
					</tr>
				{/each}
				{#each outcome?.notRanked ?? [] as name, at (at)}
					<tr>
						<td>{name}</td>
						<td colspan="19" class="soft small">
							Not ranked: part of its nitrogen goes on in autumn. Field trials lose more of it over winter than this
							model does.
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#each outcome?.adaptive ?? [] as chance, at (at)}
			{@const { mean, wet } = adaptiveFigures(chance, outcome!.programmes, yieldUnit, units)}
			<p class="chance">
				{adaptiveText(chance, yieldUnit, units)} What stands behind it: <Quantity answer={mean} /> on the mean, <Quantity
					answer={wet}
				/> in the wettest fifth.
			</p>
		{/each}
		{#if chance}
			<p class="chance">
				<strong>The inhibitor</strong> costs {quantityIn(units, chance.cost, '$/ac')}, which is
				{quantityIn(units, chance.breakEven, yieldUnit)}. It brings more than that in {chance.pays} of {chance.seasons} simulated
				seasons ({chance.paysWet} of the
				{chance.wetSeasons} wettest); the mean gain is {quantityIn(units, chance.gain.mean, yieldUnit)}, {quantityIn(
					units,
					chance.gain.wet,
					yieldUnit
				)} in the wettest fifth.
			</p>
		{/if}
		<p class="soft small">
			Fields gain less here from splitting in wet years than many trials report on poorly drained ground: the simulated
			rain seldom keeps the soil full of water for weeks. Take the direction from it, not the amount.
		</p>
	{/if}
</section>

<style>
	.bar {
		max-width: 24rem;
		margin-top: 0.6rem;
	}
	.chance {
		max-width: 52rem;
		margin-top: 0.6rem;
	}
	.group {
		text-align: right;
		padding-left: 1.2rem;
	}
	.ledger {
		margin-top: 0.8rem;
	}
	.nowrap {
		white-space: nowrap;
	}
</style>
