<!-- Yield and return against nitrogen at prices one can move; what stands around the rate that was chosen. -->
<script lang="ts">
	import { OBJECTIVES } from '../../../objective-names';
	import { Button, Checkbox, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { figure } from '$core/figure/figure';
	import { lessCredits } from '$core/packs/less-credits';
	import { outcomeOf, pricedCurve } from '$core/rates/nitrogen/priced-curve';
	import { USUAL_TOLERANCE } from '$core/rates/nitrogen/response/objectives';
	import { testedCurve } from '$core/rates/nitrogen/response/returns';
	import { coefficientsOf } from '$core/rates/nitrogen/response/shapes/models';
	import type { Objective } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { formatQuantity } from '$core/units/display';
	import { inSystem, perYieldOf, unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import Chart from '../../charts/Chart.svelte';
	import { nitrogenChart, type Scenario } from '../../charts/nitrogen';
	import { longDate } from '$core/units/day-text';
	import { numberOrUndefined } from '../../forms/numbers';
	import Quantity from '../../figure/Quantity.svelte';
	import SimulatedConfirm from '../SimulatedConfirm.svelte';
	import NitrogenAccount from './NitrogenAccount.svelte';
	import { bestSpanText } from './best-span-text';
	import NitrogenLegend from './NitrogenLegend.svelte';
	import NitrogenTerms from './NitrogenTerms.svelte';
	import ObjectivesTable from './ObjectivesTable.svelte';
	import PricedSpan from './PricedSpan.svelte';
	import PriceSliders from './PriceSliders.svelte';
	import UnpricedObjectives from './UnpricedObjectives.svelte';
	import { save } from '../../forms/call';

	interface Props {
		nitrogen: NonNullable<RatesPage['nitrogen']>;
		page: RatesPage['goalPage'];
		units: UnitSystem;
	}
	const { nitrogen, page, units }: Props = $props();

	const address = $derived({ field: page.fieldId, year: page.year });

	let method = $state(untrack(() => nitrogen.curves.find((one) => one.method === nitrogen.chosenMethod)?.method));
	let prices = $state(untrack(() => ({ ...known(nitrogen.prices) })));
	let laidOver = $state(false);
	let others = $state(untrack(() => ({ ...known(nitrogen.before ?? nitrogen.prices) })));
	let toleranceText = $state(untrack(() => String(nitrogen.terms.toleranceDollars ?? USUAL_TOLERANCE)));
	let problem = $state('');

	const source = $derived(nitrogen.curves.find((one) => one.method === method) ?? nitrogen.curves[0]);
	const unpriced = $derived(nitrogen.prices.grain === undefined || nitrogen.prices.nitrogen === undefined);
	const grainUnit = $derived(`$ per ${nitrogen.crop.yieldUnit.replace('/ac', '')}`);
	const weighed = $derived(`$ per ${perYieldOf(nitrogen.crop)}`);
	const curve = $derived(
		source && testedCurve(source.curve.model, coefficientsOf(source.curve), source.lowestRate, source.highestRate)
	);
	const words = $derived({
		basis: source?.basis ?? 'adviser',
		citation: source?.citation,
		yieldUnit: nitrogen.crop.yieldUnit
	});
	const tolerance = $derived(numberOrUndefined(toleranceText) ?? USUAL_TOLERANCE);
	const now = $derived(curve && !unpriced ? scenario(prices) : undefined);
	const other = $derived(curve && laidOver ? scenario(others) : undefined);
	/** The curve counts what comes beside the passes too. */
	const chosenInAll = $derived(
		nitrogen.chosen === undefined ? undefined : nitrogen.chosen + (nitrogen.credits?.value ?? 0)
	);
	const option = $derived(
		curve &&
			now &&
			nitrogenChart({
				curve,
				crop: nitrogen.crop,
				now,
				other,
				observations: source?.observations ?? [],
				chosen: chosenInAll,
				units
			})
	);
	/** Both years at one rate: what was chosen, else the best of now. */
	const sameRate = $derived.by(() => {
		if (!curve || !now || !other) return undefined;
		const rate = chosenInAll ?? now.priced.outcomes.mostProfit?.rate.value;
		if (rate === undefined || rate < curve.lowest || rate > curve.highest) return undefined;
		return { rate, now: returnsAt(rate, prices), other: returnsAt(rate, others) };
	});

	function known({ grain = 0, nitrogen: pound = 0 }: { grain?: number; nitrogen?: number }) {
		return { grain, nitrogen: pound };
	}

	function priceFigures(at: { grain: number; nitrogen: number }) {
		return {
			grain: figure({ label: 'price of grain', value: at.grain, unit: grainUnit, basis: 'adviser' }),
			nitrogen: figure({ label: 'price of nitrogen', value: at.nitrogen, unit: '$ per lb', basis: 'adviser' })
		};
	}

	function scenario(at: { grain: number; nitrogen: number }): Scenario {
		const given = figure({ label: 'may be given up', value: tolerance, unit: '$/ac', basis: 'adviser' });
		return { prices: { ...at }, priced: pricedCurve(curve!, priceFigures(at), nitrogen.crop, given, words) };
	}

	function returnsAt(pounds: number, at: { grain: number; nitrogen: number }) {
		const rate = figure({ label: 'rate', value: pounds, unit: 'lb/ac', basis: 'adviser' });
		const { grain, nitrogen: pound } = priceFigures(at);
		return outcomeOf(curve!, rate, grain, pound, nitrogen.crop, words).returns;
	}

	/** What a simulated curve would be chosen for, once the adviser has confirmed it. */
	let asking = $state.raw<Objective | undefined>();

	async function choose(objective: Objective, confirmed = false): Promise<void> {
		if (source!.simulated && !confirmed) return void (asking = objective);
		asking = undefined;
		const value = numberOrUndefined(toleranceText);
		if (value === undefined || value < 0)
			return void (problem = `What may be given up must be a number of dollars, 0 or more; it says “${toleranceText}”.`);
		problem = await save('POST /api/fields/{field}/{year}/choices', address, {
			choices: [{ nutrient: 'N', method: source!.method }],
			nitrogen: { ...nitrogen.terms, objective, toleranceDollars: value },
			...(confirmed ? { confirmSimulated: true } : {})
		});
	}

	async function keepPrices(): Promise<void> {
		const items = { [`grain:${nitrogen.crop.id}`]: prices.grain, 'nutrient:N': prices.nitrogen };
		const seen = {
			[`grain:${nitrogen.crop.id}`]: nitrogen.prices.grain ?? null,
			'nutrient:N': nitrogen.prices.nitrogen ?? null
		};
		problem = await save('PATCH /api/prices', {}, { prices: items, seen });
	}

	const best = $derived.by(() => {
		const optimum = now?.priced.outcomes.mostProfit?.rate;
		if (!optimum || !nitrogen.credits) return optimum;
		const net = lessCredits(optimum, nitrogen.credits);
		return net.applies ? net : undefined;
	});
	const moved = $derived(prices.grain !== nitrogen.prices.grain || prices.nitrogen !== nitrogen.prices.nitrogen);
	const band = $derived(now ? bestSpanText(now.priced, units) : '');
</script>

{#if !source || !curve}
	<p>
		No response curve in your library speaks for {nitrogen.crop.name.toLowerCase()} on this soil and in this rotation.
		<a href="/curves">Fit a trial, or type a curve in</a>.
	</p>
{:else if unpriced || !now || !option}
	<p>
		The economic optimum needs the price of {nitrogen.crop.name.toLowerCase()} and of nitrogen.
		<a href="/prices">Enter prices</a>.
	</p>
	<UnpricedObjectives {source} objectives={OBJECTIVES} {units} choose={(objective) => void choose(objective)} />
{:else}
	{@const { priced } = now}
	<div class="top">
		<div>
			<div class="curve">
				<Select
					size="sm"
					labelText="Response curve"
					selected={source.method}
					on:update={({ detail }) => (method = String(detail))}
				>
					{#each nitrogen.curves as one (one.method)}<SelectItem value={one.method} text={one.title} />{/each}
				</Select>
				<p class="small soft">
					{source.citation}. Tested from {quantityIn(units, [source.lowestRate, source.highestRate], 'lb/ac')}.
					{#if source.simulated}<strong class="mark">Simulated, not measured.</strong>{/if}
					{#if source.interval}
						{#if 'stale' in source.interval}{source.interval.stale}{:else}90 % interval of the optimum {quantityIn(
								units,
								[source.interval.low, source.interval.high],
								'lb/ac'
							)} at today's prices.{/if}
					{/if}
				</p>
			</div>
			<NitrogenLegend laidOver={other !== undefined} />
			<Chart
				{option}
				height="400px"
				onCanvas
				label={`Yield and return against nitrogen. ${band} Below it, nitrogen applied less taken off.`}
			/>
		</div>
		<div class="side">
			<PriceSliders
				bind:prices
				start={known(nitrogen.prices)}
				grainUnit={weighed}
				{units}
				label="Prices"
				grainName={nitrogen.crop.name}
			/>
			<div class="row">
				<Button size="small" kind="ghost" disabled={!moved} onclick={() => (prices = known(nitrogen.prices))}
					>Back to the price list</Button
				>
				<Button size="small" kind="ghost" disabled={!moved} onclick={keepPrices}>Put on the price list</Button>
			</div>
			<Checkbox labelText="Lay other prices over it" bind:checked={laidOver} />
			{#if laidOver}
				<PriceSliders
					bind:prices={others}
					start={known(nitrogen.before ?? nitrogen.prices)}
					grainUnit={weighed}
					{units}
					label={nitrogen.before ? `Prices of ${longDate(nitrogen.before.since)}` : 'Other prices'}
					grainName={nitrogen.crop.name}
				/>
				{#if sameRate}
					{@const gain = sameRate.now.value - sameRate.other.value}
					<p class="compare" role="status">
						At {formatQuantity(valueInSystem(sameRate.rate, 'lb/ac', units), unitInSystem('lb/ac', units))} nitrogen returns
						<strong><Quantity answer={inSystem(sameRate.now, units)} /></strong> now and
						<strong><Quantity answer={inSystem(sameRate.other, units)} /></strong> at the other prices: {formatQuantity(
							Math.abs(valueInSystem(gain, '$/ac', units)),
							unitInSystem('$/ac', units)
						)}
						{gain >= 0 ? 'more' : 'less'} now{prices.nitrogen > others.nitrogen && gain > 0
							? ', though nitrogen is dearer'
							: ''}.
					</p>
				{/if}
			{/if}
		</div>
	</div>

	<ObjectivesTable
		{priced}
		objectives={OBJECTIVES}
		credits={nitrogen.credits}
		crop={nitrogen.crop}
		{units}
		chosen={nitrogen.chosenMethod === source.method ? (nitrogen.terms.objective ?? 'most-profit') : undefined}
		bind:toleranceText
		choose={(objective) => void choose(objective)}
	/>
	<PricedSpan {priced} {band} {units} />
{/if}
{#if asking && source}
	{@const objective = asking}
	<SimulatedConfirm
		title={source.title}
		confirm={() => void choose(objective, true)}
		close={() => (asking = undefined)}
	/>
{/if}
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<NitrogenAccount {nitrogen} {units} {best} />
<h3>Timing and credits</h3>
<NitrogenTerms terms={nitrogen.terms} {address} {units} />

<style>
	.top {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 19rem;
		gap: 1.2rem 1.6rem;
	}
	.curve {
		display: grid;
		grid-template-columns: 17rem 1fr;
		gap: 1rem;
		align-items: end;
	}
	.curve p {
		margin: 0;
	}
	.mark,
	.compare {
		color: var(--accent-ink);
	}
	.compare {
		border-left: 3px solid var(--accent);
		padding-left: 0.7rem;
		margin: 0.4rem 0 0;
	}
	.side {
		display: grid;
		align-content: start;
		gap: 0.6rem;
	}
	h3 {
		margin: 1.2rem 0 0.5rem;
	}
	@media (max-width: 900px) {
		.top,
		.curve {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
