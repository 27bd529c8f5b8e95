<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { loadsFor } from '$core/supply/loads';
	import { quantityIn } from '$core/units/amount-text';
	import { inSystem, unitInSystem } from '$core/units/rate-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { keptAmount, typedAmount } from '$lib/ui/forms/typed-amount';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import BlendPanel from '$lib/ui/supply/BlendPanel.svelte';
	import CashCut from '$lib/ui/supply/CashCut.svelte';
	import ManureRates from '$lib/ui/supply/ManureRates.svelte';
	import PricePerPound from '$lib/ui/supply/PricePerPound.svelte';
	import SourceNotes from '$lib/ui/supply/SourceNotes.svelte';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let tank = $derived(typedAmount(data.loads.tankGal, 'gal', data.units));
	let box = $derived(typedAmount(data.loads.boxLb, 'lb', data.units));
	const perArea = $derived(data.units === 'us' ? 'Per acre' : 'Per hectare');
	let loadProblem = $state('');

	/** The sizes hold for the whole book, and stand on its work orders. */
	async function keepLoads(): Promise<void> {
		const tankGal = keptAmount(tank, data.loads.tankGal, 'gal', data.units);
		const boxLb = keptAmount(box, data.loads.boxLb, 'lb', data.units);
		if (!tankGal || tankGal < 0 || !boxLb || boxLb < 0) {
			loadProblem = `What the tank and the box hold must be numbers above 0; “${tank}” and “${box}” are given.`;
			return;
		}
		if (tankGal === data.loads.tankGal && boxLb === data.loads.boxLb) return;
		loadProblem = await save('PATCH /api/settings', {}, { loads: { ...data.loads, tankGal, boxLb } });
	}

	/** How often a tank or box is filled for the field: "3 loads of 46 ac". */
	function loadsText(perAcre: number, gallons: number | undefined): string {
		const { tankGal, boxLb } = data.loads;
		const capacity = gallons === undefined ? boxLb : tankGal;
		if (data.acres === undefined) return '';
		const { count, acresPerLoad } = loadsFor(gallons ?? perAcre, data.acres, capacity);
		return count === 1 ? '1 load' : `${count} loads, ${quantityIn(data.units, acresPerLoad, 'ac')} each`;
	}

	const address = $derived({ field: data.fieldId, year: data.year });
	/** Dry goods that carry nutrients: what a mix may take the place of. */
	function isDryFeed(id: string): boolean {
		const product = data.catalogue.find((one) => one.id === id);
		return product !== undefined && product.state === 'dry' && !product.lime && !product.manure;
	}
</script>

<div class="page">
	<h1>Supply</h1>
	<section>
		<h2>What this plan still needs</h2>
		{#if data.needs.length === 0}
			<p class="soft">Nothing to buy: no pass is open. Plan passes under Season.</p>
		{:else}
			<ListTable
				label="What this plan still needs"
				rows={data.needs}
				key={({ name }) => name}
				columns={[
					{ name: 'Product', of: ({ name }) => name },
					{ name: perArea, answer: ({ perAcre }) => inSystem(perAcre, data.units) },
					{ name: 'Liquid', answer: ({ gallons }) => (gallons.applies ? inSystem(gallons, data.units) : undefined) },
					{ name: 'Whole field', answer: ({ order }) => inSystem(order, data.units) },
					{
						name: 'Loads',
						of: ({ perAcre, gallons }) =>
							perAcre.applies ? loadsText(perAcre.value, gallons.applies ? gallons.value : undefined) : ''
					}
				]}
			/>
			<div class="capacity">
				<TextInput
					size="sm"
					labelText={`The tank holds, ${unitInSystem('gal', data.units)}`}
					inputmode="decimal"
					bind:value={tank}
					on:change={keepLoads}
				/>
				<TextInput
					size="sm"
					labelText={`The box holds, ${unitInSystem('lb', data.units)}`}
					inputmode="decimal"
					bind:value={box}
					on:change={keepLoads}
				/>
			</div>
			{#if loadProblem}<p class="problem" role="alert">{loadProblem}</p>{/if}
			{#if data.costs}
				{@const { nutrients, products, trips, total } = data.costs}
				<p class="cost">
					{#if total.applies}Whole plan: <strong><Quantity answer={total} /></strong>. Products <Quantity
							answer={products}
						/>, trips <Quantity answer={trips} />.{:else}The cost is not known, because {total.reason}. {total.remedy}{/if}
					{#if nutrients.length > 0}
						<span class="soft">
							By nutrient: {#each nutrients as { nutrient, cost }, at (nutrient)}{at > 0 ? ', ' : ''}{nutrient}
								<Quantity answer={cost} />{/each}.
						</span>
					{/if}
				</p>
			{/if}
		{/if}
	</section>

	{#if data.cut}<CashCut lines={data.cut.lines} removed={data.cut.removed} units={data.units} />{/if}
	{#if data.open.length > 0}
		<SourceNotes advice={data.advice} passes={data.open} products={data.catalogue} {address} />
	{/if}
	{#key data.open.map(({ id }) => id).join()}
		<BlendPanel
			open={data.open.filter((pass) => isDryFeed(pass.product))}
			products={data.catalogue}
			prices={data.ofProduct}
			areaAcres={data.acres}
			loads={data.loads}
			units={data.units}
			{address}
		/>
	{/key}
	{#if data.plantingDate}
		<ManureRates
			manures={data.catalogue.filter(({ manure }) => manure)}
			units={data.units}
			chosen={data.wanted}
			plantingDate={data.plantingDate}
			{address}
		/>
	{/if}
	<PricePerPound compared={data.compared} units={data.units} />

	<p class="section">
		<a href="/prices">The prices of the whole book</a> <span class="soft">stand on a page of their own.</span>
		<a href={`/field/${data.fieldId}/${data.year}/supply/tanks`}>Stock tanks and injection</a>
		{#if data.palms}<a href="/palm-nursery">Palm nursery and legume cover</a>{/if}
	</p>
</div>

<style>
	.capacity {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 1rem;
		max-width: 26rem;
		margin-top: 0.8rem;
	}
	.cost {
		margin-top: 0.8rem;
	}
</style>
