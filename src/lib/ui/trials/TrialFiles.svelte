<!-- What goes out of a trial: plot map, data sheet, plots for machines, and rates as a prescription for a product. -->
<script lang="ts">
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { PRESCRIPTION_FILES } from '../ground/zones/prescription-files';
	import { TRIAL_FILES } from './trial-files';

	interface Props {
		trialId: string;
		/** By which the rates that are tried can be spread. */
		products: readonly { id: string; name: string }[];
	}
	const { trialId, products }: Props = $props();

	let product = $state(untrack(() => products.find(({ id }) => id === 'urea')?.id ?? products[0]?.id ?? ''));
	const address = (kind: string) => `/trials/${trialId}/files/${kind}`;
</script>

<section aria-label="Files">
	<h2>Files</h2>
	<div class="row">
		{#each TRIAL_FILES as { kind, text } (kind)}
			<Button size="small" kind={kind === 'plot-map' ? 'primary' : 'tertiary'} href={address(kind)} download
				>{text}</Button
			>
		{/each}
	</div>
	{#if products.length > 0}
		<div class="row spread">
			<Select size="sm" labelText="Rates as a prescription for" bind:selected={product}>
				{#each products as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			{#each PRESCRIPTION_FILES as { kind, text } (kind)}
				<a href={`${address(kind)}?product=${product}`} download>{text}</a>
			{/each}
		</div>
	{/if}
</section>

<style>
	.row {
		gap: 0.4rem;
		flex-wrap: wrap;
	}
	.spread {
		align-items: end;
		gap: 0.9rem;
		margin-top: 0.8rem;
	}
</style>
