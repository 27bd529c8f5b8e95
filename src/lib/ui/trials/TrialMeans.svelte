<!-- What a measure says: means with letters, money, the numbers that two means are held against, and the analysis behind it. -->
<script lang="ts">
	import { Disclosure } from 'carbon-components-svelte';
	import type { AnovaRow, TrialMean, TrialPlan } from '$core/schema-types';
	import { treatmentOf } from '$core/trials/analysis/plots';
	import { treatmentText } from '$core/trials/design/treatment-codes';
	import { wholeMeans } from '$core/trials/reading/whole-means';
	import type { TrialReading } from '$core/trials/reading/read-trial';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import Quantity from '../figure/Quantity.svelte';
	import ListTable from '../tables/ListTable.svelte';
	import Residuals from './Residuals.svelte';

	interface Props {
		plan: TrialPlan;
		reading: TrialReading;
		codes: ReadonlyMap<string, string>;
		unit: string;
	}
	const { plan, reading, codes, unit }: Props = $props();
	let details = $state(false);
	/** Below it a chance is as good as none. */
	const LEAST_P = 0.0001;

	const whole = $derived(wholeMeans(reading.answer).sort((a, b) => b.mean - a.mean));
	/** Means of the levels of one factor, where there are several. */
	const single = $derived(
		plan.factors.length === 1 ? [] : reading.answer.means.filter(({ levels }) => Object.keys(levels).length === 1)
	);
	const moneyOf = (mean: TrialMean) => reading.money.find(({ treatment }) => treatment === treatmentOf(mean));
	const behind = (mean: TrialMean) => reading.means[reading.answer.means.indexOf(mean)];
	const name = (mean: TrialMean) =>
		`${treatmentText(plan, mean.levels)}${treatmentOf(mean) === plan.usual ? ' (usual)' : ''}`;
	const text = (value: number) => formatNumber(Math.round(value * 10) / 10, unit);
	const range = (mean: TrialMean) => {
		const gain = moneyOf(mean)?.gain;
		if (gain?.low === undefined || gain.high === undefined) return '';
		return `${formatQuantity(gain.low, '$')} to ${formatQuantity(gain.high, '$')}`;
	};
	const testOf = (row: AnovaRow) => reading.tests[reading.answer.anova.indexOf(row)];
	const chance = (p: number | null) => (p !== null && p < LEAST_P ? `below ${LEAST_P}` : shown(p, 4));
	/** Plots that repeat to the last digit have an F without end, which says nothing. */
	const shown = (value: number | null, digits: number) =>
		value === null || !Number.isFinite(value) ? '' : value.toFixed(digits);
</script>

{#snippet errorCell(mean: TrialMean)}
	{@const answer = behind(mean)?.se}
	{#if answer}<Quantity {answer} bare />{:else if mean.se !== null}{text(mean.se)}{/if}
{/snippet}

{#snippet fCell(row: AnovaRow)}
	{@const test = testOf(row)}
	{#if test}<Quantity answer={test.f} text={shown(row.f, 3)} bare />{:else}{shown(row.f, 3)}{/if}
{/snippet}
{#snippet pCell(row: AnovaRow)}
	{@const test = testOf(row)}
	{#if test}<Quantity answer={test.p} text={chance(row.p)} bare />{:else}{chance(row.p)}{/if}
{/snippet}

<ListTable
	label="Means of the treatments"
	rows={whole}
	key={treatmentOf}
	columns={[
		{ name: '', of: (mean) => codes.get(treatmentOf(mean)) ?? '' },
		{ name: 'Treatment', of: name },
		{ name: `Mean, ${unit}`, answer: (mean) => behind(mean)?.mean, bare: true },
		{ name: 'Standard error', cell: errorCell, number: true },
		{ name: 'Plots', of: ({ n }) => n, number: true },
		{ name: 'Group', of: ({ group }) => group },
		...(reading.money.length > 0
			? [
					{ name: 'Net, $/ac', answer: (mean: TrialMean) => moneyOf(mean)?.net, bare: true },
					{ name: 'Over usual, $/ac', answer: (mean: TrialMean) => moneyOf(mean)?.gain?.figure, bare: true },
					{ name: 'Range, 95 %', of: range, number: true },
					{
						name: '$ per $ more',
						of: (mean: TrialMean) => moneyOf(mean)?.gain?.perDollar?.toFixed(2) ?? '',
						number: true
					}
				]
			: [])
	]}
/>
<p class="small">
	{#if whole.some(({ group }) => group !== null)}Treatments with a common letter do not differ beyond chance.{/if}
	{#each reading.figures as one, at (at)}<span class="figure">{one.label}: <Quantity answer={one} />.</span>{/each}
</p>
{#if single.length > 0}
	<ListTable
		label="Means of each factor"
		rows={single}
		key={(mean) => JSON.stringify(mean.levels)}
		columns={[
			{ name: 'Factor', of: ({ levels }) => Object.keys(levels)[0] },
			{ name: 'Level', of: treatmentOf },
			{ name: `Mean, ${unit}`, answer: (mean) => behind(mean)?.mean, bare: true },
			{ name: 'Standard error', cell: errorCell, number: true },
			{ name: 'Group', of: ({ group }) => group }
		]}
	/>
{/if}
{#each reading.answer.notes as note, at (at)}<p class="small">{note}</p>{/each}
{#if reading.answer.anova.length > 0}
	<Disclosure align="start" summary="Details: analysis of variance, residuals" bind:open={details}>
		<ListTable
			label="Analysis of variance"
			rows={reading.answer.anova}
			sortable={false}
			columns={[
				{ name: 'Stratum', of: ({ stratum }) => stratum },
				{ name: 'Source', of: ({ source }) => source.split(':').join(' x ') },
				{ name: 'df', of: ({ df }) => df, number: true },
				{ name: 'Sum of squares', of: ({ ss }) => shown(ss, 2), number: true },
				{ name: 'Mean square', of: ({ ms }) => shown(ms, 2), number: true },
				{ name: 'F', cell: fCell, number: true },
				{ name: 'p', cell: pCell, number: true }
			]}
		/>
		<p class="small soft">
			Least squares by the design; each term is tested after all that do not contain it (type II). Letters by Tukey.
		</p>
		<!-- A chart has no width before it is seen. -->
		{#if details && reading.answer.residuals.length > 0}<Residuals answer={reading.answer} {unit} />{/if}
	</Disclosure>
{/if}

<style>
	.figure {
		margin-right: 0.6em;
	}
</style>
