<!-- What the passes supply against what was chosen, the lime they cost, and the forms of their nitrogen. -->
<script lang="ts">
	import type { Answer, Figure } from '$core/figure/figure';
	import type { FormShares } from '$core/season/plan/nitrogen-forms';
	import { nutrientColor } from '../../figure/nutrient-color';
	import Quantity from '../../figure/Quantity.svelte';

	interface Props {
		chosen: readonly { nutrient: string; rate: Answer }[];
		totals: readonly (Answer | Figure)[];
		debt: Answer;
		/** Said for crops that care for it. */
		forms: FormShares | undefined;
	}
	const { chosen, totals, debt, forms }: Props = $props();
	const percent = (share: number) => Math.round(share * 100);
</script>

<section aria-label="Supplied against chosen">
	<h2>Supplied against chosen</h2>
	<table class="ledger sums">
		<thead><tr><th>Nutrient</th><th class="num">Chosen</th><th class="num">Carried</th></tr></thead>
		<tbody>
			{#each ['N', 'P2O5', 'K2O', 'S'] as const as nutrient (nutrient)}
				{@const wanted = chosen.find((one) => one.nutrient === nutrient)}
				{@const carried = totals.find(({ label }) => label === nutrient)}
				{#if wanted || carried}
					<tr>
						<td><span class="mark" style:background={nutrientColor(nutrient)}></span>{nutrient}</td>
						<td class="num"
							>{#if wanted}<Quantity answer={wanted.rate} />{:else}<span class="soft">open</span>{/if}</td
						>
						<td class="num"
							>{#if carried}<Quantity answer={carried} />{:else}<span class="soft">none</span>{/if}</td
						>
					</tr>
				{/if}
			{/each}
		</tbody>
	</table>
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
