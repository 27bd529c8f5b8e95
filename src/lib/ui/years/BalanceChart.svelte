<!-- The balances of one grower, or of the whole book, drawn over the years. -->
<script lang="ts">
	import type { Balanced } from '$core/season/plan/balance/nutrient-balance';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { balancesChart } from '../charts/balances';
	import Chart from '../charts/Chart.svelte';
	import { lineLook } from '../charts/outlook';
	import Choice from '../forms/Choice.svelte';

	interface Props {
		/** Means by acres of all fields of a grower, or of the book, in a year; lb/ac. */
		lines: readonly { name: string; year: number; balance: Partial<Record<Balanced, number>> }[];
		nutrients: readonly Balanced[];
		units: UnitSystem;
	}
	const { lines, nutrients, units }: Props = $props();

	let wanted = $state<string>();
	/** One year alone is no line. */
	const names = $derived(
		[...new Set(lines.map(({ name }) => name))].filter((one) => lines.filter(({ name }) => name === one).length > 1)
	);
	const name = $derived(names.find((one) => one === wanted) ?? names[0]);
	const own = $derived(lines.filter((line) => line.name === name).sort((a, b) => a.year - b.year));
	const unit = $derived(unitInSystem('lb/ac', units));
	const drawn = $derived(
		nutrients.map((nutrient) => ({
			nutrient,
			points: own.map(({ year, balance }) => {
				const value = balance[nutrient];
				return { year, value: value === undefined ? undefined : valueInSystem(value, 'lb/ac', units) };
			})
		}))
	);
	const said = $derived(
		drawn
			.map(({ nutrient, points }) => {
				const known = points.flatMap(({ year, value }) =>
					value === undefined ? [] : `${Math.round(value)} in ${year}`
				);
				return `${nutrient} ${known.join(', ')}`;
			})
			.join('; ')
	);
</script>

{#if name !== undefined}
	<figure>
		<figcaption class="row small">
			{#if names.length > 1}
				<Choice
					label="Grower of the chart"
					value={name}
					options={names.map((value) => ({ value, text: value }))}
					choose={(value) => (wanted = value)}
				/>
			{/if}
			<span>Balance of the year, {unit}, mean by acres:</span>
			{#each drawn as { nutrient }, at (nutrient)}
				{@const { color, type } = lineLook(at)}
				<span class="key" style:color><span class="dash" style:border-top-style={type}></span>{nutrient}</span>
			{/each}
		</figcaption>
		<Chart label={`Balance of ${name}, ${unit}: ${said}`} option={balancesChart(drawn, unit)} height="210px" />
	</figure>
{/if}

<style>
	figure {
		margin: 0 0 1rem;
		max-width: 60rem;
	}
	.row {
		align-items: center;
		gap: 0.4rem 1rem;
	}
	.key {
		font-weight: 600;
		white-space: nowrap;
	}
	.dash {
		display: inline-block;
		width: 1.6rem;
		margin-right: 0.35rem;
		vertical-align: middle;
		border-top-width: 3px;
	}
</style>
