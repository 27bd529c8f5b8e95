<!-- The cations on the exchange: their shares as a bar and a table. -->
<script lang="ts">
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import type { ReadingPage } from '$lib/server/pages/reading-page';

	const { cations }: { cations: NonNullable<ReadingPage['reading']>['cations'] } = $props();
	const freeLime = $derived(cations.reduce((sum, { share }) => sum + (share.applies ? share.value : 0), 0) > 100);
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
		<div class="cations">
			<ListTable
				label="Cations"
				rows={cations}
				key={({ name }) => name}
				sortable={false}
				columns={[
					{ name: 'Cation', of: ({ name }) => name },
					{ name: 'ppm', answer: ({ ppm }) => (ppm.applies ? ppm : undefined), bare: true },
					{ name: 'share of CEC', answer: ({ share }) => share }
				]}
			/>
		</div>
		<p class="small soft">
			{freeLime
				? 'The cations add to more than the CEC: the acid of the test dissolved free lime. None of it is acidity.'
				: 'The rest is acidity, or was not measured.'} See Rates for what the base-saturation approaches make of it.
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
