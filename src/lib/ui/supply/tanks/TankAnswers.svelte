<!-- Stock tanks, pump rates and times, and what stands against them. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import type { FertigationPlan } from '$core/supply/fertigation/plan-fertigation';
	import { formatNumber } from '$core/units/display';
	import { inSystem, type UnitSystem } from '$core/units/rate-units';
	import Severity from '../../figure/Severity.svelte';
	import ListTable from '../../tables/ListTable.svelte';

	const { plan, units }: { plan: FertigationPlan; units: UnitSystem } = $props();

	const injectionOf = (name: string) => plan.injections.find(({ tank }) => tank === name)!;
	/** Why a stock is not known stands beside it once. */
	const ifKnown = (answer: Answer | undefined) => (answer?.applies ? inSystem(answer, units) : undefined);
	const doses = $derived(plan.tanks.flatMap(({ name, doses: own }) => own.map((dose) => ({ name, ...dose }))));
</script>

{#each plan.cautions as { severity, text }, at (at)}<p><Severity {severity} /> {text}</p>{/each}
<ListTable
	label="Stock tanks"
	rows={plan.tanks}
	key={({ name }) => name}
	sortable={false}
	columns={[
		{ name: 'Tank', of: ({ name }) => name },
		{ name: 'Stock', answer: ({ gallons }) => inSystem(gallons, units) },
		{ name: 'Fills', answer: ({ fills }) => ifKnown(fills) },
		...(plan.timing
			? [{ name: 'To each zone', answer: ({ name }: { name: string }) => ifKnown(injectionOf(name).perZone) }]
			: []),
		{ name: 'Pump rate', answer: ({ name }) => ifKnown(injectionOf(name).pumpRate) }
	]}
/>
<ListTable
	label="What goes into each tank"
	rows={doses}
	key={({ name, product }) => `${name} ${product.id}`}
	sortable={false}
	columns={[
		{ name: 'Tank', of: ({ name }) => name },
		{ name: 'Product', of: ({ product }) => product.name },
		{ name: 'For the area', answer: ({ pounds }) => inSystem(pounds, units) },
		{ name: 'In stock', answer: ({ gallons }) => inSystem(gallons, units) }
	]}
/>
{#if plan.timing}
	<p>
		Each zone: water on for {formatNumber(plan.timing.end, 'h')} h; the pump runs from {formatNumber(
			plan.timing.from,
			'h'
		)} h to {formatNumber(plan.timing.to, 'h')} h after the start, the rest flushes the lines.
	</p>
{:else}<p>The pump runs the whole turn.</p>{/if}
<p class="soft small">
	Jar test first. Shut down in this order: injection pump, stock valve, then, after the flush, the water. Backflow
	prevention and the interlock of pump and water as the law asks.
</p>
