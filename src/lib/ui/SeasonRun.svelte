<!-- The season of a plan day by day in a made-up year, and what is left of the nitrogen at harvest. -->
<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { figure } from '$core/figure/figure';
	import { formatNumber } from '$core/units/display';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { PageData } from '../../routes/field/[field]/[year]/season/$types';
	import Chart from './charts/Chart.svelte';
	import Quantity from './Quantity.svelte';
	import { seasonChart } from './charts/season';

	interface Props {
		season: NonNullable<PageData['season']>;
		run: NonNullable<NonNullable<PageData['season']>['run']>;
		units: UnitSystem;
	}
	const { season, run, units }: Props = $props();

	const nitrogenPasses = $derived(
		season.passes
			.filter(({ nutrients }) => nutrients.some(({ nutrient }) => nutrient === 'N'))
			.map(({ plan, doneOn }) => ({ date: doneOn ?? plan.date, label: plan.label }))
	);
	const amount = (value: number) => formatNumber(value, run.unit);
	/** Every amount opens into where it comes from. */
	const modelled = (label: string, value: number) =>
		figure({
			label,
			value,
			unit: run.unit,
			formula: `daily model of nitrogen and water, a ${season.kind} made-up year`,
			basis: 'memory',
			citation: 'Screening model: nitrification by an extension table, losses by extension and common practice',
			cautions: ['It shows which way things go, not what will be measured.']
		});
	const rows = $derived([
		['In the ground at the start', run.balance.atStart],
		['Applied', run.balance.applied],
		['Given by organic matter', run.balance.mineralised],
		['Taken up', run.balance.takenUp],
		['Lost to the air as ammonia', run.balance.volatilised],
		['Lost from wet ground', run.balance.denitrified],
		['Washed out below 3 ft', run.balance.leached],
		['Left in the ground at harvest', run.balance.leftInGround]
	] as const);
	const label = $derived(
		`Nitrogen in the ground against what the crop wants, day by day in a ${season.kind} made-up year: ${amount(run.balance.takenUp)} of ${amount(run.balance.wanted)} ${run.unit} taken up, ${run.balance.shortDays} days short.`
	);
</script>

<section class="section" aria-label="Day by day">
	<div class="head">
		<h2>Day by day</h2>
		<Select
			size="sm"
			inline
			labelText="in a made-up year that is"
			selected={season.kind}
			on:update={({ detail }) => void goto(`?weather=${detail}`, { noScroll: true, keepFocus: true })}
		>
			<SelectItem value="normal" text="normal" />
			<SelectItem value="wet" text="wet" />
			<SelectItem value="dry" text="dry" />
		</Select>
	</div>
	<p class="soft small">
		A screening model: it shows which way things go. Weather of {season.station}, not of your farm.
		{#if run.assumed.length > 0}Taken because it is not known: {run.assumed.join('; ')}.{/if}
	</p>
	<div class="two">
		<div>
			<div class="legend small soft" aria-hidden="true">
				<span><i class="ground"></i>in the ground</span>
				<span><i class="wanted"></i>wanted by the crop</span>
				<span><i class="taken"></i>taken up</span>
				<span><i class="warm"></i>soil at 4 in</span>
				<span><i class="water"></i>water in the top foot</span>
			</div>
			<Chart
				option={seasonChart({
					run,
					passes: nitrogenPasses,
					plantingDate: season.plantingDate,
					limit: season.limit,
					units
				})}
				height="360px"
				{label}
			/>
		</div>
		<div>
			<table class="ledger">
				<thead><tr><th>By harvest</th><th class="num">N, {run.unit}</th></tr></thead>
				<tbody>
					{#each rows as [name, value] (name)}
						<tr><td>{name}</td><td class="num"><Quantity answer={modelled(name, value)} bare /></td></tr>
					{/each}
				</tbody>
			</table>
			<p class="small" class:short={run.balance.shortDays > 0}>
				{run.balance.shortDays === 0
					? 'The crop is never short.'
					: `${run.balance.shortDays} days short of what the crop wants.`}
			</p>
		</div>
	</div>
</section>

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.2rem 1.2rem;
	}
	.head h2 {
		margin: 0;
	}
	.two {
		display: grid;
		grid-template-columns: minmax(0, 2.6fr) minmax(14rem, 1fr);
		gap: 1rem 2rem;
	}
	.short {
		color: var(--accent-ink);
	}
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.1rem;
	}
	.legend i {
		display: inline-block;
		width: 1.3rem;
		border-top: 3px solid var(--ink);
		margin-right: 0.4rem;
		vertical-align: middle;
	}
	.legend .ground {
		border-color: var(--nutrient-n);
	}
	.legend .wanted {
		border-top-style: dashed;
	}
	.legend .taken {
		border-color: var(--action);
	}
	.legend .warm {
		border-color: var(--accent);
	}
	.legend .water {
		border-color: var(--nutrient-k);
	}
	@media (max-width: 800px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
