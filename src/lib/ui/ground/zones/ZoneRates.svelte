<!-- Each zone by the field's choices, with what holds in it; then one rate for all against a rate for each. -->
<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import type { RateNutrient } from '$core/schema-types';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import Quantity from '../../figure/Quantity.svelte';

	interface ZoneRow {
		name: string;
		areaAcres: number;
		/** "pH 5.6, K 74" */
		holds: string;
		notes: readonly string[];
		rates: readonly { nutrient: RateNutrient; rate: Answer; by: string }[];
		opinions: readonly { nutrient: RateNutrient; school: string; rate: Answer }[];
	}
	interface Props {
		units: UnitSystem;
		zones: readonly ZoneRow[];
		chosen: readonly { nutrient: RateNutrient; rate: Answer }[];
		compared: readonly {
			nutrient: RateNutrient;
			flat: Answer;
			variable: Answer;
			costDifference: Answer;
			over: readonly { zone: string; amount: number }[];
		}[];
		plans: readonly { id: string; label: string; productName: string }[];
		/** The plan as it goes on in each zone. */
		seasons: readonly { zone: string; passes: readonly { id: string; rate: Answer }[]; totals: readonly Answer[] }[];
	}
	const { zones, chosen, compared, plans, seasons, units }: Props = $props();

	let opinionsOf = $state<RateNutrient>('K2O');
	const nutrients = $derived([...new Set(zones.flatMap(({ opinions }) => opinions.map(({ nutrient }) => nutrient)))]);
	const shown = $derived(nutrients.includes(opinionsOf) ? opinionsOf : nutrients[0]);
	const schools = $derived([
		...new Set(
			zones.flatMap(({ opinions }) =>
				opinions.filter(({ nutrient, rate }) => nutrient === shown && rate.applies).map(({ school }) => school)
			)
		)
	]);
	const area = (acres: number) => formatNumber(valueInSystem(acres, 'ac', units), 'ac');
	const rateText = (rate: number, of: string) =>
		formatQuantity(valueInSystem(rate, of, units), unitInSystem(of, units));
	const title = (nutrient: RateNutrient) => (nutrient === 'lime' ? 'Lime' : nutrient);
	const whole = $derived(zones.reduce((sum, zone) => sum + zone.areaAcres, 0));
	type Compared = (typeof compared)[number];
	/** "12 lb/ac too much in Sand knob; right in Bottom": one rate against what each zone wants. */
	function overText({ nutrient, over }: Compared): string {
		return over
			.map(({ zone, amount }) =>
				Math.abs(amount) < 0.05
					? `right in ${zone}`
					: `${rateText(Math.abs(amount), nutrient === 'lime' ? 'short ton/ac' : 'lb/ac')} too ${amount > 0 ? 'much' : 'little'} in ${zone}`
			)
			.join('; ');
	}
	/** The passes with their rate in each zone, then what they come to by nutrient. */
	const passRows = $derived([
		...plans.map(({ id, label, productName }) => ({
			name: `${label}, ${productName}`,
			total: false,
			rates: seasons.map(({ passes }) => passes.find((one) => one.id === id)?.rate)
		})),
		...[...new Set(seasons.flatMap(({ totals }) => totals.map(({ label }) => label)))].map((label) => ({
			name: `${label} in all`,
			total: true,
			rates: seasons.map(({ totals }) => totals.find((one) => one.label === label))
		}))
	]);
	const notes = $derived([...new Set(zones.flatMap((zone) => zone.notes))]);
</script>

{#snippet costsCell({ costDifference }: Compared)}
	{#if costDifference.applies}
		{costDifference.value < -0.5 ? 'saves ' : costDifference.value > 0.5 ? 'costs ' : ''}<Quantity
			answer={{ ...costDifference, value: Math.abs(costDifference.value) }}
		/>
	{:else}<span class="small soft">{costDifference.reason}</span>{/if}
{/snippet}

<section class="section" aria-label="Rates by zone">
	<h2>Rates by zone</h2>
	{#if chosen.length === 0}
		<p class="soft">Choose rates for the field first, under Rates: each zone then goes by the same methods.</p>
	{:else}
		<ListTable
			label="Rates of each zone"
			rows={[...zones, { name: 'Whole field', areaAcres: whole, holds: 'its own sample and goal', rates: chosen }]}
			key={({ name }) => name}
			sortable={false}
			rowClass={(row) => (zones.some((zone) => zone === row) ? '' : 'flat')}
			columns={[
				{ name: 'Zone', of: ({ name }) => name },
				{ name: units === 'us' ? 'Acres' : 'Hectares', of: ({ areaAcres }) => area(areaAcres), number: true },
				{ name: 'Holds in it', of: ({ holds }) => holds || 'as the field' },
				...chosen.map(({ nutrient }) => ({
					name: title(nutrient),
					answer: ({ rates }: { rates: ZoneRow['rates'] | typeof chosen }) =>
						rates.find((one) => one.nutrient === nutrient)?.rate
				}))
			]}
		/>
		{#each notes as note, at (at)}<p class="soft small">{note}</p>{/each}
		<h3>One rate for all, against a rate for each</h3>
		<ListTable
			label="One rate against a rate for each zone"
			rows={compared}
			key={({ nutrient }) => nutrient}
			sortable={false}
			columns={[
				{ name: '', of: ({ nutrient }) => title(nutrient) },
				{ name: 'At one rate', answer: ({ flat }) => flat },
				{ name: 'By zone', answer: ({ variable }) => variable },
				{ name: 'Costs', cell: costsCell, number: true },
				{ name: 'One rate is', of: overText }
			]}
		/>
	{/if}
	{#if plans.length > 0 && chosen.length > 0}
		<h3>The season by zone</h3>
		<p class="soft small">
			Each pass goes on as its nutrient is wanted in the zone; one that follows no chosen rate goes on evenly. What the
			machine can set comes with the prescription.
		</p>
		<ListTable
			label="Passes by zone"
			rows={passRows}
			sortable={false}
			rowClass={({ total }) => (total ? 'total' : '')}
			columns={[
				{ name: 'Pass', of: ({ name }) => name },
				...seasons.map(({ zone }, at) => ({
					name: zone,
					number: true,
					answer: ({ rates }: (typeof passRows)[number]) => rates[at]
				}))
			]}
		/>
	{/if}
	{#if shown}
		<div class="heads">
			<h3>Rates compared by zone</h3>
			<Select
				size="sm"
				inline
				labelText="of"
				selected={shown}
				on:update={({ detail }) => (opinionsOf = detail as RateNutrient)}
			>
				{#each nutrients as nutrient (nutrient)}<SelectItem value={nutrient} text={title(nutrient)} />{/each}
			</Select>
		</div>
		<ListTable
			label={`${shown ?? 'Rates'} by approach`}
			rows={schools}
			key={(school) => school}
			empty={`No approach has a rate of ${shown} here.`}
			columns={[
				{ name: 'Approach', of: (school) => school },
				...zones.map(({ name, opinions }) => ({
					name,
					answer: (school: string) => {
						const found = opinions.find((one) => one.nutrient === shown && one.school === school);
						return found?.rate.applies ? found.rate : undefined;
					}
				}))
			]}
		/>
	{/if}
</section>

<style>
	section :global(tr.total td) {
		background: var(--paper-deep);
	}
	section :global(tr.flat td) {
		border-top: 2px solid var(--rule-strong);
	}
	.heads {
		display: flex;
		gap: 0.8rem;
		align-items: baseline;
	}
	h3 {
		margin-top: 1.2rem;
	}
</style>
