<!-- Four shapes through the plots of a trial, what they call for, and how sure that is. -->
<script lang="ts">
	import { Disclosure } from 'carbon-components-svelte';
	import { OBJECTIVES } from '$lib/objective-names';
	import { coefficientScale } from '$core/rates/nitrogen/response/shapes/scaled-curve';
	import type { Curve, CurveCoefficients, FitAnswer, Observation } from '$core/schema-types';
	import { inSystem, unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { formatNumber } from '$core/units/display';
	import Chart from '../../charts/Chart.svelte';
	import { modelLook, scaleIn, trialChart } from '../../charts/trial';
	import Quantity from '../../figure/Quantity.svelte';
	import { MODEL_NAMES, significant } from './curve-text';

	interface Props {
		answer: FitAnswer;
		observations: readonly Observation[];
		crop: { yieldUnit: string };
		units: UnitSystem;
	}
	const { answer, observations, crop, units }: Props = $props();

	const curves = $derived(
		answer.fits.flatMap(({ model, coefficients }): Curve[] => (coefficients ? [{ model, coefficients }] : []))
	);
	const unit = $derived(unitInSystem('lb/ac', units));
	const scale = $derived(scaleIn(units, crop.yieldUnit));
	const plain = (value: number) => formatNumber(value * scale.perRate, unit);
	const scaled = (model: Curve['model'], name: string, value: number) =>
		value * coefficientScale(model, name as keyof CurveCoefficients, scale);
	const chance = (p: number) => (p < 0.001 ? 'p below 0.001' : `p ${p.toFixed(p < 0.1 ? 3 : 2)}`);
	const objectives = $derived(
		answer.objectives ? OBJECTIVES.map(({ key, name }) => [name, answer.objectives![key]] as const) : []
	);
</script>

<section class="section" aria-label="What came out">
	<h2>What came out</h2>
	{#if answer.best}
		<p class="verdict" role="status">
			{MODEL_NAMES[answer.best]} fits best.
			{#if answer.eonrInterval}
				Economic optimum at <strong>{plain(answer.eonr!)} {unit}</strong>; 90 % of the samples lie from {plain(
					answer.eonrInterval[0]!
				)} to {plain(answer.eonrInterval[1]!)}
				<span class="soft small">
					({answer.bootstrap?.replicates} samples with the shape chosen anew in each{#if answer.bootstrap && answer.bootstrap.atHighestShare > 0.01},
						{Math.round(answer.bootstrap.atHighestShare * 100)} % of them at the highest rate tested{/if})
				</span>
			{/if}
		</p>
	{/if}
	{#if answer.rivals}
		<p role="status">
			The plots do not tell {answer.rivals.map(({ model }) => MODEL_NAMES[model].toLowerCase()).join(' from ')}:
			{#if answer.eonrSpan}the economic optimum lies at <strong
					>{plain(answer.eonrSpan[0]!)} to {plain(answer.eonrSpan[1]!)} lb/ac</strong
				>, by the shape one believes.{:else}each is shown below.{/if}
		</p>
	{/if}
	{#if answer.noInterval}<p class="refused">No interval: {answer.noInterval}.</p>{/if}
	{#if answer.reason}<p class="refused" role="status">{answer.reason}.</p>{/if}
	<div class="two">
		<Chart
			option={trialChart(observations, curves, answer.tested.lowest, answer.tested.highest, crop.yieldUnit, units)}
			height="300px"
			label={`${observations.length} plots with ${curves.length} curves through them`}
		/>
		{#if objectives.length > 0}
			<table class="ledger">
				<thead><tr><th>Wanted</th><th class="num">N, {unit}</th></tr></thead>
				<tbody>
					{#each objectives as [name, rate] (name)}
						<tr>
							<td>{name}</td>
							<td class="num"
								>{#if rate.applies}<Quantity answer={inSystem(rate, units)} bare />{:else}<span class="soft"
										>{rate.reason}</span
									>{/if}</td
							>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
	</div>
	<Disclosure align="start" summary="Details: coefficients, residual SS, AICc and F tests">
		<table class="ledger">
			<thead>
				<tr>
					<th>Shape</th>
					<th>Coefficients, ± standard error</th>
					<th class="num">Residual SS</th>
					<th class="num">AICc</th>
					<th class="num">Level from, {unit}</th>
				</tr>
			</thead>
			<tbody>
				{#each answer.fits as fit (fit.model)}
					<tr class:best={fit.model === answer.best}>
						<td>
							<i style:border-top={`3px ${modelLook(fit.model).type} ${modelLook(fit.model).color}`}></i>
							{MODEL_NAMES[fit.model]}
							<div class="small soft">{fit.formula}</div>
						</td>
						<td>
							{#each Object.entries(fit.coefficients ?? {}) as [name, value] (name)}
								{@const errors = fit.standardErrors as Record<string, number> | undefined}
								<span class="coefficient"
									>{name}
									{significant(scaled(fit.model, name, value))}{#if errors?.[name] !== undefined}<span class="soft"
											>&nbsp;± {Number(scaled(fit.model, name, errors[name]).toPrecision(2))}</span
										>{/if}</span
								>
							{/each}
							{#if fit.note}<div class="small mark">{fit.note}</div>{/if}
						</td>
						<td class="num">{fit.rss === null ? '–' : significant(fit.rss * scale.perYield ** 2)}</td>
						<td class="num">{fit.aicc === null ? '–' : fit.aicc.toFixed(2)}</td>
						<td class="num">{fit.join === undefined ? '–' : plain(fit.join)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if answer.tests}
			<p class="small soft">
				F tests: against no response {chance(answer.tests.response)}, against a straight line {chance(
					answer.tests.curvature
				)}. {answer.tested.observations} plots at {answer.tested.rates} rates{answer.tested.blocks > 0
					? ` in ${answer.tested.blocks} blocks`
					: ', no blocks'}.
			</p>
		{/if}
	</Disclosure>
</section>

<style>
	.two {
		display: grid;
		grid-template-columns: minmax(0, 2fr) minmax(16rem, 1fr);
		gap: 1rem 2rem;
		align-items: center;
	}
	.verdict {
		font-size: 1.1rem;
	}
	.refused {
		color: var(--accent-ink);
		border-left: 3px solid var(--accent);
		padding-left: 0.7rem;
		max-width: 46rem;
	}
	.refused::first-letter {
		text-transform: uppercase;
	}
	.best td {
		background: var(--action-wash);
	}
	i {
		display: inline-block;
		width: 1.5rem;
		vertical-align: middle;
		margin-right: 0.3rem;
	}
	.coefficient {
		white-space: nowrap;
		margin-right: 1.1rem;
	}
	.mark {
		color: var(--accent-ink);
	}
	@media (max-width: 800px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
