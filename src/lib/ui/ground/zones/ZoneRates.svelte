<!-- Each zone by the field's choices, with what holds in it; then one rate for all against a rate for each. -->
<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import type { RateNutrient } from '$core/schema-types';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
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
	const notes = $derived([...new Set(zones.flatMap((zone) => zone.notes))]);
</script>

<section class="section" aria-label="Rates by zone">
	<h2>Rates by zone</h2>
	{#if chosen.length === 0}
		<p class="soft">Choose rates for the field first, under Rates: each zone then goes by the same methods.</p>
	{:else}
		<div class="scroll">
			<table class="ledger">
				<thead>
					<tr>
						<th>Zone</th>
						<th class="num">{units === 'us' ? 'Acres' : 'Hectares'}</th>
						<th>Holds in it</th>
						{#each chosen as { nutrient } (nutrient)}<th class="num">{title(nutrient)}</th>{/each}
					</tr>
				</thead>
				<tbody>
					{#each zones as { name, areaAcres, holds, rates } (name)}
						<tr>
							<td><strong>{name}</strong></td>
							<td class="num">{area(areaAcres)}</td>
							<td class="soft small">{holds || 'as the field'}</td>
							{#each rates as { nutrient, rate } (nutrient)}
								<td class="num">
									{#if rate.applies}<Quantity answer={rate} />{:else}<span class="small soft">{rate.reason}</span>{/if}
								</td>
							{/each}
						</tr>
					{/each}
					<tr class="flat">
						<td>Whole field</td>
						<td class="num">{area(zones.reduce((sum, zone) => sum + zone.areaAcres, 0))}</td>
						<td class="soft small">its own sample and goal</td>
						{#each chosen as { nutrient, rate } (nutrient)}<td class="num"><Quantity answer={rate} /></td>{/each}
					</tr>
				</tbody>
			</table>
		</div>
		{#each notes as note (note)}<p class="soft small">{note}</p>{/each}
		<h3>One rate for all, against a rate for each</h3>
		<div class="scroll">
			<table class="ledger">
				<thead>
					<tr
						><th></th><th class="num">At one rate</th><th class="num">By zone</th><th class="num">Costs</th><th
							>One rate is</th
						></tr
					>
				</thead>
				<tbody>
					{#each compared as { nutrient, flat, variable, costDifference, over } (nutrient)}
						<tr>
							<td><strong>{title(nutrient)}</strong></td>
							<td class="num"><Quantity answer={flat} /></td>
							<td class="num"
								>{#if variable.applies}<Quantity answer={variable} />{:else}<span class="small soft"
										>{variable.reason}</span
									>{/if}</td
							>
							<td class="num">
								{#if costDifference.applies}
									{costDifference.value < -0.5 ? 'saves ' : costDifference.value > 0.5 ? 'costs ' : ''}<Quantity
										answer={{ ...costDifference, value: Math.abs(costDifference.value) }}
									/>
								{:else}<span class="small soft">{costDifference.reason}</span>{/if}
							</td>
							<td class="small">
								{over
									.map(({ zone, amount }) =>
										Math.abs(amount) < 0.05
											? `right in ${zone}`
											: `${rateText(Math.abs(amount), nutrient === 'lime' ? 'short ton/ac' : 'lb/ac')} too ${amount > 0 ? 'much' : 'little'} in ${zone}`
									)
									.join('; ')}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
	{#if plans.length > 0 && chosen.length > 0}
		<h3>The season by zone</h3>
		<p class="soft small">
			Each pass goes on as its nutrient is wanted in the zone; one that follows no chosen rate goes on evenly. What the
			machine can set comes with the prescription.
		</p>
		<div class="scroll">
			<table class="ledger" aria-label="Passes by zone">
				<thead
					><tr
						><th>Pass</th>{#each seasons as { zone } (zone)}<th class="num">{zone}</th>{/each}</tr
					></thead
				>
				<tbody>
					{#each plans as { id, label, productName } (id)}
						<tr>
							<td><strong>{label}</strong> <span class="soft small">{productName}</span></td>
							{#each seasons as { zone, passes } (zone)}
								{@const found = passes.find((one) => one.id === id)}
								<td class="num"
									>{#if found}<Quantity answer={found.rate} />{:else}none{/if}</td
								>
							{/each}
						</tr>
					{/each}
					{#each [...new Set(seasons.flatMap(({ totals }) => totals.map(({ label }) => label)))] as label (label)}
						<tr class="total">
							<td>{label} in all</td>
							{#each seasons as { zone, totals } (zone)}
								{@const total = totals.find((one) => one.label === label)}
								<td class="num"
									>{#if total}<Quantity answer={total} />{/if}</td
								>
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
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
		<div class="scroll">
			<table class="ledger">
				<thead
					><tr
						><th>Approach</th>{#each zones as { name } (name)}<th class="num">{name}</th>{/each}</tr
					></thead
				>
				<tbody>
					{#each schools as school (school)}
						<tr>
							<td>{school}</td>
							{#each zones as { name, opinions } (name)}
								{@const found = opinions.find((one) => one.nutrient === shown && one.school === school)}
								<td class="num"
									>{#if found?.rate.applies}<Quantity answer={found.rate} />{/if}</td
								>
							{/each}
						</tr>
					{:else}<tr><td colspan={zones.length + 1} class="soft">No approach has a rate of {shown} here.</td></tr
						>{/each}
				</tbody>
			</table>
		</div>
	{/if}
</section>

<style>
	.total td {
		background: var(--paper-deep);
	}
	.scroll {
		overflow-x: auto;
	}
	.flat td {
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
