<!-- What the passes supply against what was chosen, the lime they cost, and the forms of their nitrogen. -->
<script lang="ts">
	import type { Answer, Figure } from '$core/figure/figure';
	import type { FormShares } from '$core/season/plan/nitrogen-forms';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { nutrientColor } from '../../figure/nutrient-color';
	import Quantity from '../../figure/Quantity.svelte';

	interface Props {
		season: {
			chosen: readonly { nutrient: string; rate: Answer }[];
			totals: readonly (Answer | Figure)[];
			/** The nitrogen of a second crop. */
			secondN: { name: string; wanted: { rate: Answer } | undefined; carried: Answer | Figure | undefined } | undefined;
			/** What the water of its irrigation brings, by nutrient; empty where there is none. */
			byWater: Readonly<Record<string, Answer>>;
			debt: Answer;
			/** Said for crops that care for it. */
			forms: FormShares | undefined;
		};
	}
	const { season }: Props = $props();
	const { chosen, totals, secondN, byWater, debt, forms } = $derived(season);
	type Sum = (typeof sums)[number];
	const sums = $derived([
		...(['N', 'P2O5', 'K2O', 'S'] as const)
			.map((nutrient) => ({
				nutrient,
				name: nutrient as string,
				wanted: chosen.find((one) => one.nutrient === nutrient),
				carried: totals.find(({ label }) => label === nutrient)
			}))
			.filter(({ nutrient, wanted, carried }) => wanted || carried || byWater[nutrient]?.applies),
		...(secondN ? [{ nutrient: 'N' as const, ...secondN }] : [])
	]);
	const irrigated = $derived(Object.values(byWater).some(({ applies }) => applies));
	const percent = (share: number) => Math.round(share * 100);
</script>

{#snippet nutrientCell({ nutrient, name }: Sum)}
	<span class="mark" style:background={nutrientColor(nutrient)}></span>{name}
{/snippet}
{#snippet chosenCell({ wanted }: Sum)}
	{#if wanted}<Quantity answer={wanted.rate} />{:else}<span class="soft">open</span>{/if}
{/snippet}
{#snippet waterCell({ name }: Sum)}
	{@const brought = byWater[name]}
	{#if brought?.applies}<Quantity answer={brought} />{:else}<span class="soft">none</span>{/if}
{/snippet}
{#snippet carriedCell({ carried }: Sum)}
	{#if carried}<Quantity answer={carried} />{:else}<span class="soft">none</span>{/if}
{/snippet}

<section aria-label="Supplied against chosen">
	<h2>Supplied against chosen</h2>
	<ListTable
		label="Supplied against chosen"
		rows={sums}
		key={({ name }) => name}
		sortable={false}
		columns={[
			{ name: 'Nutrient', of: ({ name }) => name, cell: nutrientCell },
			{ name: 'Chosen', cell: chosenCell, number: true },
			{ name: 'By the passes', cell: carriedCell, number: true },
			...(irrigated ? [{ name: 'By the water', cell: waterCell, number: true }] : [])
		]}
	/>
	{#if irrigated}
		<p class="small">The nitrogen of the water is off the chosen rate where its guide credits it.</p>
	{/if}
	{#if debt.applies}
		<p class="small">
			{debt.value < 0 ? 'Sweetens the ground like' : 'Lime that undoes the acid of these passes:'}
			<Quantity answer={debt} /> of pure CaCO3.
		</p>
	{/if}
	{#if forms}
		<p class="small">
			Of the nitrogen {percent(forms.nitrate)} % is nitrate, {percent(forms.ammonium)} % ammonium, {percent(forms.urea)} %
			urea. Corn does best near half nitrate, half ammonium.
		</p>
	{/if}
</section>

<style>
	.mark {
		display: inline-block;
		width: 0.7rem;
		height: 0.7rem;
		margin-right: 0.5rem;
	}
</style>
