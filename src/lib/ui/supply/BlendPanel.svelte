<!-- The least-cost mix that carries what some open passes carry: exact and as it can be bought, and one trip for all of it. -->
<script lang="ts">
	import Mark from '../figure/Mark.svelte';
	import { messageOf } from '$core/check/message-of';
	import { Button, Checkbox, Disclosure, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { BlendAnswer, BlendRequest, LoadSizes, Nutrient, Pass, Product } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { batchesFor, type Batches } from '$core/supply/blend/batches';
	import { demandOf, mixPasses, mixRequest, shelfOf } from '$core/supply/blend/mix';
	import { shortDate } from '$core/units/day-text';
	import { keptAmount, typedAmount } from '../forms/typed-amount';
	import { call, save, type YearAddress } from '../forms/call';

	interface Props {
		/** Open passes that a mix could replace. */
		open: readonly Pass[];
		products: readonly Product[];
		/** $ per short ton, by product. */
		prices: ReadonlyMap<string, number>;
		address: YearAddress;
		/** Undefined where it is not known. */
		areaAcres: number | undefined;
		loads: LoadSizes;
		/** That the panel speaks; the request and the book are in US units. */
		units: UnitSystem;
	}
	const { open, products, prices, address, areaAcres, loads, units }: Props = $props();
	const [perArea, mass] = $derived([unitInSystem('lb/ac', units), unitInSystem('lb', units)]);

	let replaced = $state<Record<string, boolean>>(
		untrack(() => Object.fromEntries(open.map(({ id, placement }) => [id, placement === 'broadcast'])))
	);
	const shelf = $derived(shelfOf(products, prices));
	let off = $state<Record<string, boolean>>({});
	let tolerance = $state('');
	let most = $state('');
	let least = $state('');
	let chloride = $state('');
	let salt = $state('');
	/** How the mix is bought: weighed into batches where the area is known, else in steps of product. */
	let how = $state<'batches' | 'steps'>(untrack(() => (areaAcres === undefined ? 'steps' : 'batches')));
	let step = $state('5');
	let batch = $state(untrack(() => typedAmount(loads.batchLb, 'lb', units)));
	let weighed = $state(untrack(() => typedAmount(loads.weighLb, 'lb', units)));
	let batches = $state.raw<Batches | undefined>();
	let problem = $state('');
	let exact = $state.raw<BlendAnswer | undefined>();
	let bought = $state.raw<BlendAnswer | undefined>();
	let busy = $state(false);

	const going = $derived(open.filter(({ id }) => replaced[id]));
	const demand = $derived(demandOf(going, products));
	const nameOf = (id: string) => products.find((product) => product.id === id)?.name ?? id;
	/** A rate in lb/ac as it is shown, to the tenth that a plant can weigh. */
	const rateText = (lbAc: number) => formatNumber(Math.round(valueInSystem(lbAc, 'lb/ac', units) * 10) / 10, perArea);
	const quantity = (value: number, unit: string) => quantityIn(units, value, unit);

	/**
	 * What was typed; an amount in the US unit that the request takes.
	 * @param before what stood there, which stays to the last digit while nobody changes it
	 */
	function read(text: string, name: string, highest: number, unit = '', before?: number): number | undefined {
		if (text.trim() === '') return undefined;
		const value = keptAmount(text, before, unit, units);
		if (value === undefined || value < 0 || value > highest) {
			const most = formatNumber(Math.floor(valueInSystem(highest, unit, units)), unit);
			throw new RangeError(`${name}: “${text}” must be a number from 0 to ${most}.`);
		}
		return value;
	}

	async function find(): Promise<void> {
		exact = bought = batches = undefined;
		const use = shelf.filter(({ id }) => !off[id]);
		let request: BlendRequest;
		let whole: number | undefined;
		let plant: Pick<LoadSizes, 'batchLb' | 'weighLb'> | undefined;
		try {
			request = mixRequest(use, prices, demand, {
				tolerancePercent: read(tolerance, 'Tolerance', 50),
				maxProducts: read(most, 'At most so many products', 60),
				minimumUse: read(least, 'Least use', 10_000, 'lb/ac'),
				chloride: read(chloride, 'Chloride', 10_000, 'lb/ac'),
				salt: read(salt, 'Salt', 10_000, 'lb/ac')
			});
			if (how === 'steps') whole = read(step, 'Steps', 1000, 'lb/ac');
			else {
				const batchLb = read(batch, 'One batch', 1_000_000, 'lb', loads.batchLb);
				const weighLb = read(weighed, 'Weighed in steps', 10_000, 'lb', loads.weighLb);
				if (!batchLb || !weighLb) throw new RangeError('Say how much a batch holds and in what steps it is weighed.');
				plant = { batchLb, weighLb };
			}
		} catch (error) {
			problem = messageOf(error);
			return;
		}
		busy = true;
		const first = await call('POST /api/blend', {}, request);
		if (plant && first.answer?.status === 'optimal') {
			const total = first.answer.uses.reduce((sum, { rate }) => sum + rate, 0);
			batches = batchesFor(total, areaAcres!, plant.batchLb, plant.weighLb);
			whole = batches.stepLbPerAcre;
		}
		const second = whole ? await call('POST /api/blend', {}, { ...request, step: whole }) : undefined;
		if (plant && (plant.batchLb !== loads.batchLb || plant.weighLb !== loads.weighLb)) {
			// What the plant mixes holds for the whole book.
			await save('PATCH /api/settings', {}, { loads: { ...loads, ...plant } });
		}
		busy = false;
		problem = first.problem ?? second?.problem ?? '';
		exact = first.answer;
		bought = second?.answer;
	}

	const inSteps = $derived(
		batches
			? `${batches.count} ${batches.count === 1 ? 'batch' : 'batches'} weighed to ${weighed} ${mass}`
			: `In steps of ${step} ${perArea}`
	);

	async function adopt({ uses }: BlendAnswer): Promise<void> {
		const whole =
			uses === bought?.uses
				? ` ${inSteps} at ${quantity(bought.cost!, '$/ac')}; exact ${exact!.uses.map(({ id, rate }) => `${rateText(rate)} ${nameOf(id)}`).join(', ')} at ${quantity(exact!.cost!, '$/ac')}.`
				: '';
		const reason = `Least-cost mix in place of ${going.map(({ label }) => label).join(', ')}.${whole}`;
		const added = mixPasses(uses, going, reason);
		problem = await save('POST /api/fields/{field}/{year}/passes', address, {
			removed: going.map(({ id }) => id),
			added,
			because: { kind: 'mix', name: 'a mix' },
			seen: [...going]
		});
		if (!problem) exact = bought = undefined;
	}
</script>

<section class="section" aria-label="Mix">
	<h2>The cheapest mix</h2>
	{#if open.length === 0}
		<p class="soft">No open pass supplies nutrients in the dry. Plan passes under Season.</p>
	{:else if shelf.length === 0}
		<p class="soft">No dry product has a price. Enter prices below.</p>
	{:else}
		<p class="soft">
			Choose the passes that one mix should take the place of; what they supply is what it must supply.
		</p>
		<div class="row">
			{#each open as pass (pass.id)}
				<Checkbox labelText={`${pass.label}, ${shortDate(pass.date)}`} bind:checked={replaced[pass.id]} />
			{/each}
		</div>
		<p>
			{#if going.length === 0}Choose at least one pass.{:else}It must supply {Object.entries(demand)
					.map(([nutrient, wanted]) => `${rateText(wanted)} ${mass} ${nutrient}`)
					.join(', ')}
				{units === 'us' ? 'an acre' : 'a hectare'}.{/if}
		</p>
		<div class="fields">
			<TextInput size="sm" labelText="May miss each by, %" placeholder="meets or passes it" bind:value={tolerance} />
			<TextInput size="sm" labelText="At most so many products" placeholder="any number" bind:value={most} />
			<TextInput size="sm" labelText={`Least use of one, ${perArea}`} placeholder="none" bind:value={least} />
			<TextInput size="sm" labelText={`At most chloride, ${perArea}`} placeholder="any" bind:value={chloride} />
			<TextInput size="sm" labelText={`At most salt, index x ${perArea} / 100`} placeholder="any" bind:value={salt} />
			<Select size="sm" labelText="Bought" selected={how} on:update={({ detail }) => (how = detail as typeof how)}>
				{#if areaAcres !== undefined}<SelectItem value="batches" text="weighed into batches" />{/if}
				<SelectItem value="steps" text={`in steps of ${perArea}`} />
			</Select>
			{#if how === 'steps'}
				<TextInput size="sm" labelText={`Steps, ${perArea}`} bind:value={step} />
			{:else}
				<TextInput size="sm" labelText={`One batch holds, ${mass}`} bind:value={batch} />
				<TextInput size="sm" labelText={`Weighed in steps of, ${mass}`} bind:value={weighed} />
			{/if}
		</div>
		<Disclosure
			align="start"
			summary={`Products on the shelf (${shelf.filter(({ id }) => !off[id]).length} of ${shelf.length} with a price)`}
		>
			<div class="shelf">
				{#each shelf as { id, name } (id)}
					<Checkbox labelText={name} checked={!off[id]} on:check={({ detail }) => (off[id] = !detail)} />
				{/each}
			</div>
		</Disclosure>
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		<Button size="small" disabled={busy || going.length === 0} onclick={find}>Find the mix</Button>
		{#if exact?.status === 'infeasible'}
			<div class="none" role="status">
				<p><strong>No mix of these products does it.</strong></p>
				{#each exact.conflict ?? [] as { nutrient, text } (nutrient)}<p><Mark severity="stop" /> {text}</p>{/each}
				{#if exact.conflict?.length === 0}<p>
						The limits leave nothing: allow more products or a smaller least use.
					</p>{/if}
			</div>
		{:else if exact}
			{@const ids = [...new Set([...exact.uses, ...(bought?.uses ?? [])].map(({ id }) => id))]}
			{@const rate = (answer: BlendAnswer | undefined, id: string) => answer?.uses.find((one) => one.id === id)?.rate}
			<table class="ledger result" aria-label="The mix">
				<thead>
					<tr
						><th>Product</th><th class="num">Exact, {perArea}</th>{#if bought?.status === 'optimal'}<th class="num"
								>As bought, {perArea}</th
							>{#if batches}<th class="num">In each batch, {mass}</th>{/if}{/if}</tr
					>
				</thead>
				<tbody>
					{#each ids as id (id)}
						{@const own = rate(exact, id)}
						{@const other = rate(bought, id)}
						<tr>
							<td>{nameOf(id)}</td>
							<td class="num">{own === undefined ? '' : rateText(own)}</td>
							{#if bought?.status === 'optimal'}<td class="num">{other === undefined ? '' : rateText(other)}</td>
								{#if batches}<td class="num"
										>{other === undefined
											? ''
											: formatNumber(Math.round(valueInSystem(other * batches.acresEach, 'lb', units)), mass)}</td
									>{/if}{/if}
						</tr>
					{/each}
				</tbody>
				<tfoot>
					<tr>
						<td>Cost</td>
						<td class="num"><strong>{quantity(exact.cost!, '$/ac')}</strong></td>
						{#if bought?.status === 'optimal'}<td class="num"><strong>{quantity(bought.cost!, '$/ac')}</strong></td
							>{/if}
					</tr>
				</tfoot>
			</table>
			{#if bought?.status === 'optimal'}
				<p>
					{inSteps}{batches ? `, ${quantity(batches.acresEach, 'ac')} each` : ''}: it costs {quantity(
						bought.cost! - exact.cost!,
						'$/ac'
					)} more than the exact mix.
				</p>
			{/if}
			<p>
				{#each Object.entries(exact.shadowPrices).filter(([, price]) => price > 0.0005) as [nutrient, price] (nutrient)}
					<span class="said"
						>The last {units === 'us' ? 'pound' : 'kilogram'} of {nutrient} costs {formatQuantity(
							valueInSystem(price, '$/lb', units),
							'$'
						)}.</span
					>
				{/each}
				{#each Object.entries(exact.delivered).filter(([nutrient, lb]) => lb > (demand[nutrient as Nutrient] ?? 0) + 0.5) as [nutrient, lb] (nutrient)}
					<span class="said"
						>It brings {rateText(lb - (demand[nutrient as Nutrient] ?? 0))} {mass} {nutrient} more than asked.</span
					>
				{/each}
			</p>
			<div class="row">
				<Button size="small" kind="tertiary" onclick={() => adopt(exact!)}>Put the exact mix into the plan</Button>
				{#if bought?.status === 'optimal'}
					<Button size="small" kind="tertiary" onclick={() => adopt(bought!)}>Put it in as bought</Button>
				{/if}
			</div>
		{/if}
	{/if}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.8rem 1.2rem;
		max-width: 56rem;
		margin: 0.4rem 0 0.8rem;
	}
	.shelf {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
		margin: 0.4rem 0;
	}
	.result {
		max-width: 40rem;
		margin: 1rem 0 0.6rem;
	}
	.said {
		margin-right: 0.5rem;
	}
	.none {
		border-left: 4px solid var(--stop);
		padding-left: 0.8rem;
		margin-top: 0.8rem;
	}
</style>
