<!-- Whether the soil tests followed the balance: each move between two samples, and both drawn over the years. -->
<script lang="ts">
	import { valueIfKnown } from '$core/figure/figure';
	import type { YearBalance } from '$core/season/plan/balance/nutrient-balance';
	import type { TestMove } from '$core/season/plan/balance/test-and-balance';
	import { TEST_SCATTER } from '$core/reading/soil/test-scatter';
	import { longDate } from '$core/units/day-text';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { balanceAndTestChart } from '../charts/balance-and-test';
	import Chart from '../charts/Chart.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		/** The newest first. */
		moves: readonly TestMove[];
		/** The newest first. */
		years: readonly YearBalance[];
		units: UnitSystem;
	}
	const { moves, years, units }: Props = $props();

	const unit = $derived(unitInSystem('lb/ac', units));
	const charts = $derived([...new Set(moves.map(({ label }) => label))].map(chartOf));

	function chartOf(label: string) {
		const own = moves.filter((move) => move.label === label).reverse();
		const { nutrient } = own[0]!;
		const tests = [
			{ date: own[0]!.from, value: own[0]!.before },
			...own.map(({ to, after }) => ({ date: to, value: after }))
		];
		const balances = [...years]
			.reverse()
			.map(({ year, nutrients }) => ({ year, value: valueIfKnown(nutrients[nutrient].ofYear) }));
		const said = [
			...balances.flatMap(({ year, value }) => (value === undefined ? [] : `${year} ${Math.round(value)} ${unit}`)),
			...tests.map(({ date, value }) => `${formatNumber(value, 'ppm')} ppm in ${date.slice(0, 4)}`)
		].join(', ');
		return {
			label,
			nutrient,
			said,
			option: balanceAndTestChart({ balances, tests, balanceUnit: unit, testUnit: 'ppm' })
		};
	}
</script>

{#snippet sampledCell({ from, to }: TestMove)}{longDate(from)} to {longDate(to)}{/snippet}
{#snippet testCell({ before, after }: TestMove)}
	<span class="nowrap">{formatNumber(before, 'ppm')} to <strong>{formatNumber(after, 'ppm')}</strong></span>
{/snippet}
{#snippet expectedCell({ balance, expected }: TestMove)}
	{#if balance.applies}<Quantity answer={expected} bare />{/if}
{/snippet}
{#snippet saidCell({ said }: TestMove)}{#if said}{said}{/if}{/snippet}

<div class="charts">
	{#each charts as { label, nutrient, said, option }, at (at)}
		<figure>
			<figcaption class="small">
				<span class="bar">{nutrient} balance of the year, {unit}</span>, and
				<span class="line">{label}, ppm</span>
			</figcaption>
			<Chart label={`${nutrient} balance and ${label}: ${said}`} {option} height="170px" />
		</figure>
	{/each}
</div>
<ListTable
	label="Soil tests beside the balance"
	rows={moves}
	key={({ label, to }) => `${label} ${to}`}
	columns={[
		{ name: 'Soil test', of: ({ label }) => label, share: 17 },
		{ name: 'Sampled', of: ({ to }) => to, cell: sampledCell, share: 18 },
		{ name: 'ppm', of: ({ after }) => after, cell: testCell, number: true, share: 9 },
		{ name: `Balance between, ${unit}`, answer: ({ balance }) => balance, bare: true, share: 12 },
		{ name: 'Should move it, ppm', cell: expectedCell, number: true, share: 12 },
		{ name: 'What it says', of: ({ said }) => said, cell: saidCell, share: 32 }
	]}
/>
<p class="soft small">
	Two samples of one field differ by about {TEST_SCATTER * 100} % of the value (common practice): a move within that says
	nothing. The crop of a year counts as harvested from September on.
</p>

<style>
	.charts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 22rem), 1fr));
		gap: 0.5rem 1.5rem;
		margin-bottom: 0.8rem;
	}
	figure {
		margin: 0;
	}
	.bar {
		color: var(--accent-ink);
	}
	.line {
		color: var(--action);
	}
	.nowrap {
		white-space: nowrap;
	}
</style>
