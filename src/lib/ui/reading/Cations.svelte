<!-- The cations on the exchange: their shares as a bar and a table. -->
<script lang="ts">
	import type { ReadingPage } from '$lib/server/pages/reading-page';
	import Quantity from '../figure/Quantity.svelte';

	const { cations }: { cations: NonNullable<ReadingPage['reading']>['cations'] } = $props();
</script>

<section class="section">
	<h2>Cations on the exchange</h2>
	{#if cations.length === 0}
		<p class="soft">The report gives no cations with a CEC to hold them against.</p>
	{:else}
		<div class="exchange" aria-hidden="true">
			{#each cations as { cation, share } (cation)}
				{#if share.applies}<div
						style:width={`${Math.min(100, share.value)}%`}
						style:background={`var(--cation-${cation.toLowerCase()})`}
					>
						{share.value > 6 ? cation : ''}
					</div>{/if}
			{/each}
		</div>
		<table class="ledger cations">
			<thead><tr><th>Cation</th><th class="num">ppm</th><th class="num">share of CEC</th></tr></thead>
			<tbody>
				{#each cations as { name, share, ppm } (name)}
					<tr>
						<td>{name}</td>
						<td class="num"
							>{#if ppm.applies}<Quantity answer={ppm} bare />{/if}</td
						>
						<td class="num"><Quantity answer={share} /></td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="small soft">
			The rest is acidity, or was not measured. See Rates for what the base-saturation approaches make of it.
		</p>
	{/if}
</section>

<style>
	.exchange {
		display: flex;
		max-width: 44rem;
		height: 1.5rem;
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		margin-bottom: 0.6rem;
	}
	.exchange div {
		color: #fff;
		font-size: 0.82rem;
		font-weight: 600;
		padding-left: 0.35rem;
		overflow: hidden;
	}
	.cations {
		max-width: 28rem;
	}
</style>
