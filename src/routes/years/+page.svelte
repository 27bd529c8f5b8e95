<!-- The book over the years: by field, by grower or as a whole. -->
<script lang="ts">
	import { Button, ContentSwitcher, Switch, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { MAIN_BALANCED } from '$core/season/plan/balance/nutrient-balance';
	import { EXCESS_N_LB } from '$core/season/plan/balance/book-year';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { harvestText, quantityIn } from '$core/units/amount-text';
	import { unitInSystem, valueInSystem } from '$core/units/rate-units';
	import Mark from '$lib/ui/figure/Mark.svelte';
	import type { Column } from '$lib/ui/tables/column';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import BalanceChart from '$lib/ui/years/BalanceChart.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Line = PageData['lines'][number];

	const BY = [
		['field', 'By field'],
		['grower', 'By grower'],
		['book', 'Whole book']
	] as const;
	let from = $state(untrack(() => String(data.from)));
	let to = $state(untrack(() => String(data.to)));
	let problem = $state('');

	const pounds = (lbAc: number | undefined) =>
		lbAc === undefined ? '' : whole(valueInSystem(lbAc, 'lb/ac', data.units));
	/** A balance with its sign; no minus before nothing. */
	const whole = (value: number) => formatNumber(Math.round(value) + 0, 'lb/ac');
	const unit = $derived(unitInSystem('lb/ac', data.units));
	const anAcre = $derived(data.units === 'us' ? 'an acre' : 'a hectare');
	const query = $derived(`by=${data.by}&from=${data.from}&to=${data.to}`);
	const shown = $derived(
		MAIN_BALANCED.filter((nutrient) => data.lines.some(({ balance }) => balance[nutrient] !== undefined))
	);
	/** Bushels of one crop and tons of another are no mean. */
	const harvestColumn: Column<Line>[] = $derived(
		data.by === 'field'
			? [{ name: 'Harvest', of: ({ harvested }) => harvested, cell: yieldCell, number: true, share: 9 }]
			: []
	);
	const high = $derived(data.lines.filter(({ band }) => band === 'high').length);

	function show(by: string): void {
		const years = [from, to].map(Number);
		const wrong = [from, to].find((text) => !/^\d{4}$/.test(text.trim()));
		if (wrong !== undefined) return void (problem = `A year has four digits, such as ${data.to}; got “${wrong}”.`);
		if (years[0]! > years[1]!)
			return void (problem = `The first year must not be after the last; got ${from} to ${to}.`);
		problem = '';
		void goto(`?by=${by}&from=${years[0]}&to=${years[1]}`, { keepFocus: true, noScroll: true });
	}
</script>

{#snippet nameCell({ fieldId, name, year }: Line)}
	{#if fieldId}<a href={`/field/${fieldId}/${year}/book`}>{name}</a>{:else}{name}{/if}
{/snippet}
{#snippet yieldCell({ harvested, yieldUnit }: Line)}
	{#if harvested !== undefined}{harvestText(data.units, harvested, yieldUnit ?? '')}{/if}
{/snippet}
{#snippet goalCell({ ofGoal }: Line)}
	{#if ofGoal !== undefined}<span class="nowrap">{Math.round(ofGoal * 100)} %</span>{:else}<span class="soft small"
			>no harvest</span
		>{/if}
{/snippet}
{#snippet appliedCell({ appliedN, plannedN }: Line)}
	{pounds(appliedN)}
	{#if Math.round(plannedN) !== Math.round(appliedN)}<span class="soft small">of {pounds(plannedN)}</span>{/if}
{/snippet}
{#snippet nitrogenCell({ balance, band }: Line)}
	{#if band === 'high'}<span class="late"><Mark /> {pounds(balance.N)}</span>{:else}{pounds(balance.N)}{/if}
{/snippet}
{#snippet costCell({ cost, costPerYield, yieldUnit }: Line)}
	{#if cost === undefined}<span class="soft small">a price is missing</span>{:else if cost > 0}{formatQuantity(
			valueInSystem(cost, '$/ac', data.units),
			'$'
		)}
		{#if costPerYield !== undefined}<span class="soft small"
				>{quantityIn(data.units, costPerYield, `$/${(yieldUnit ?? '').replace('/ac', '')}`)}</span
			>{/if}{/if}
{/snippet}
{#snippet limeCell({ acidity, lime }: Line)}
	{#if acidity !== undefined && Math.round(acidity) !== 0}<div>{pounds(acidity)}</div>{/if}
	{#if lime > 0}<div class="small">{quantityIn(data.units, lime, 'short ton/ac')} went on</div>{/if}
{/snippet}

<div class="page">
	<h1>Over the years</h1>
	<p class="soft">
		What was applied less what the harvests took off, {anAcre}; of several fields, means by area. A year without its
		harvest has no balance. Running: the years shown, added up.
	</p>
	<div class="row bar">
		<div class="by">
			<ContentSwitcher
				size="sm"
				selectedIndex={BY.findIndex(([id]) => id === data.by)}
				on:change={({ detail }) => {
					const id = BY[detail]?.[0];
					if (id !== undefined && id !== data.by) show(id);
				}}
			>
				{#each BY as [id, name] (id)}<Switch text={name} />{/each}
			</ContentSwitcher>
		</div>
		<div class="year"><TextInput size="sm" labelText="From" inputmode="numeric" bind:value={from} /></div>
		<div class="year"><TextInput size="sm" labelText="To" inputmode="numeric" bind:value={to} /></div>
		<Button size="small" kind="tertiary" onclick={() => show(data.by)}>Show</Button>
		<a href={`/years/csv?${query}`} download>As CSV</a>
		{#if data.lines.length <= data.mostPrinted}<a href={`/years/pdf?${query}`} download>As PDF</a>{/if}
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if high > 0}
		<p class="late">
			<Mark />
			{high}
			{high === 1 ? 'line has' : 'lines have'} a nitrogen balance of +{pounds(EXCESS_N_LB)}
			{unit} or more: about so much is seen at the optimum, more is left to leach (common practice; sites differ).
		</p>
	{/if}
	{#if data.by !== 'field'}<BalanceChart lines={data.lines} nutrients={shown} units={data.units} />{/if}
	<ListTable
		label="The book over the years"
		rows={data.lines}
		key={({ key }) => key}
		rowHeightPx={38}
		empty="Nothing in the book in these years."
		columns={[
			{
				name: { field: 'Field', grower: 'Grower', book: 'Book' }[data.by],
				of: ({ name }) => name,
				cell: nameCell,
				share: 14
			},
			{ name: 'Year', of: ({ year }) => year, number: true, share: 5 },
			{ name: 'Crop', of: ({ crop }) => crop, share: 12 },
			...harvestColumn,
			{ name: 'Of goal', of: ({ ofGoal }) => ofGoal, cell: goalCell, number: true, share: 6 },
			{ name: `N applied, ${unit}`, of: ({ appliedN }) => appliedN, cell: appliedCell, number: true, share: 8 },
			...shown.map((nutrient) => ({
				name: `${nutrient} balance`,
				of: ({ balance }: Line) => balance[nutrient],
				cell: { N: nitrogenCell, P2O5: pCell, K2O: kCell, S: sCell }[nutrient],
				number: true,
				share: 7
			})),
			{ name: 'Running P2O5', of: ({ running }) => running.P2O5, cell: runningPCell, number: true, share: 7 },
			{ name: 'Running K2O', of: ({ running }) => running.K2O, cell: runningKCell, number: true, share: 7 },
			{ name: `Cost, ${anAcre}`, of: ({ cost }) => cost, cell: costCell, number: true, share: 9 },
			{ name: 'Lime to offset', of: ({ acidity }) => acidity, cell: limeCell, number: true, share: 9 }
		]}
	/>
</div>

{#snippet pCell({ balance }: Line)}{pounds(balance.P2O5)}{/snippet}
{#snippet kCell({ balance }: Line)}{pounds(balance.K2O)}{/snippet}
{#snippet sCell({ balance }: Line)}{pounds(balance.S)}{/snippet}
{#snippet runningPCell({ running }: Line)}{pounds(running.P2O5)}{/snippet}
{#snippet runningKCell({ running }: Line)}{pounds(running.K2O)}{/snippet}

<style>
	.bar {
		align-items: end;
		gap: 0.5rem 1rem;
		margin-bottom: 0.8rem;
	}
	.by {
		width: 22rem;
		max-width: 100%;
	}
	.year {
		width: 6rem;
	}
	.nowrap {
		white-space: nowrap;
	}
	.late {
		color: var(--accent-ink);
	}
</style>
