<!-- What a report of irrigation water says: cautions first, then each number with its steps or why there is none. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import type { Product, WaterAnswer } from '$core/schema-types';
	import { acidProducts } from '$core/water/acid-products';
	import { inSystem, unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import Quantity from '../figure/Quantity.svelte';
	import ListTable from '../tables/ListTable.svelte';
	import Severity from '../figure/Severity.svelte';

	interface Props {
		answer: WaterAnswer;
		units: UnitSystem;
		/** Acids of the catalogue. */
		products: readonly Product[];
		/** $ per short ton, by the id of an acid. */
		prices: ReadonlyMap<string, number | undefined>;
	}
	const { answer, units, products, prices }: Props = $props();

	const NAMES = {
		sar: 'Sodium adsorption ratio',
		rsc: 'Residual sodium carbonate',
		leachingRequirement: 'Share of the water that is to pass the roots',
		relativeYield: 'Yield in this soil, of that without salt',
		acidMeqPerL: 'Acid to bring it there',
		acidLbPerAcreFoot: 'Sulfuric acid for it, 100 %'
	} as const;
	const mass = $derived(unitInSystem('lb', units));
	const water = $derived(units === 'us' ? 'an acre-foot' : 'a million litres');
	const bringing = (answer: Answer | undefined) => answer && inSystem(answer, units);
	const worksheets = $derived(answer.worksheets as Record<string, Answer>);
	const shown = $derived(Object.entries(NAMES).map(([key, name]) => ({ name, answer: worksheets[key]! })));
	const brought = $derived(
		Object.keys(answer.delivered).map((nutrient) => ({ nutrient, answer: worksheets[nutrient]! }))
	);
</script>

{#each answer.cautions as { severity, text }, at (at)}<p><Severity {severity} /> {text}</p>{/each}
{#if answer.acid}<p>
		<Severity severity="mind" /> Acid burns and eats metal: its label, local code and a licensed hand go first. Acid into
		water, never water into acid; never in one tank with calcium nitrate; not below pH 5 in the line.
	</p>{/if}
<dl class="fact-lines">
	{#each shown as { name, answer: figure }, at (at)}
		<div>
			<dt>{name}</dt>
			<dd>
				{#if figure.applies}<Quantity answer={inSystem(figure, units)} />{:else}<span class="soft small"
						>{figure.reason}</span
					>{/if}
			</dd>
		</div>
	{/each}
	<div>
		<dt>Slows its own way into the soil</dt>
		<dd>{answer.infiltration ?? 'not known without EC, Na, Ca and Mg'}</dd>
	</div>
</dl>
{#if answer.approaches}
	<h3>Acid over the season, three ways of thinking</h3>
	<ListTable
		label="Acid over the season"
		rows={answer.approaches}
		key={({ name }) => name}
		sortable={false}
		columns={[
			{ name: 'How', of: ({ name }) => name },
			{ name: 'In that water', answer: ({ acid }) => acid },
			{ name: 'Neutralises', answer: ({ takenOut }) => takenOut },
			{ name: 'Sulfuric acid', answer: ({ sulfuric }) => inSystem(sulfuric, units) },
			{ name: 'Cost', answer: ({ cost }) => inSystem(cost, units) }
		]}
	/>
{/if}
{#if answer.acid}
	<h3>The same acid from each product</h3>
	<ListTable
		label={`Acids of the catalogue for ${water}`}
		rows={acidProducts(worksheets.acidMeqPerL!, products, (id) => prices.get(id))}
		key={({ product }) => product.id}
		sortable={false}
		columns={[
			{ name: `For ${water}`, of: ({ product }) => product.name },
			{ name: `Product, ${mass}`, answer: ({ pounds }) => inSystem(pounds, units), bare: true },
			{ name: `Liquid, ${unitInSystem('gal', units)}`, answer: ({ gallons }) => bringing(gallons), bare: true },
			{
				name: 'Cost, $',
				answer: ({ cost }) => (cost?.applies ? inSystem(cost, units) : undefined),
				bare: true,
				number: true
			},
			{ name: `N, ${mass}`, answer: ({ brings }) => bringing(brings.N), bare: true },
			{ name: `P2O5, ${mass}`, answer: ({ brings }) => bringing(brings.P2O5), bare: true },
			{ name: `S, ${mass}`, answer: ({ brings }) => bringing(brings.S), bare: true }
		]}
	/>
	<p class="soft small">
		What they bring counts against the rates. Prices are those under <a href="/prices">Prices</a>. Citric and phosphoric
		acid give what they give at pH 6.5.
	</p>
{/if}
{#if brought.length > 0}
	<h3>What the season’s water brings</h3>
	<p class="brought">
		{#each brought as { nutrient, answer: figure } (nutrient)}<span
				>{nutrient} <Quantity answer={inSystem(figure, units)} /></span
			>{/each}
	</p>
	<p class="soft small">
		Saved under a source and set as the irrigation of a field, under Ground, its nitrogen goes off the rate.
	</p>
{/if}

<style>
	h3 {
		margin: 1.2rem 0 0.4rem;
	}
	.brought {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem 1.4rem;
	}
</style>
