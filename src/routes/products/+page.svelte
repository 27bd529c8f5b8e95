<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { ProductFileActionBounds } from '$core/schema-types/bounds';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import { NUTRIENTS } from '$core/season/plan/pass/pass-nutrients';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, valueInSystem } from '$core/units/rate-units';
	import ProductForm from '$lib/ui/supply/ProductForm.svelte';
	import LimeForm from '$lib/ui/supply/LimeForm.svelte';
	import ManureForm from '$lib/ui/supply/ManureForm.svelte';
	import { call, remove } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const { units } = $derived(data.settings);
	const weight = $derived(unitInSystem('lb', units));
	type Product = PageData['products'][number];
	let words = $state('');
	let problem = $state('');
	let notice = $state('');

	const shown = $derived(
		data.products.filter(({ name }) =>
			words
				.toLowerCase()
				.split(/\s+/)
				.every((word) => name.toLowerCase().includes(word))
		)
	);

	function asText(amount: number | undefined): string | undefined {
		return amount === undefined ? undefined : formatNumber(amount, 'ratio');
	}

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		notice = '';
		const found = await textOfFile(file, ProductFileActionBounds.csv);
		if (typeof found === 'string') return void (problem = found);
		const { answer, problem: failed } = await call('POST /api/products/file', {}, { csv: found.text });
		problem = failed ?? '';
		if (answer)
			notice = `${answer.taken} imported, ${answer.passedOver} of the shipped catalogue passed over.${found.note}`;
	}

	async function removeProduct(id: string): Promise<void> {
		problem = await remove('DELETE /api/products/{product}', { product: id });
	}
</script>

{#snippet nameCell({ name, own }: Product)}
	<strong>{name}</strong>{#if own}<div class="soft small">your own</div>{/if}
{/snippet}
{#snippet deleteCell({ id, own }: Product)}
	{#if own}<button type="button" class="plain" onclick={() => removeProduct(id)}>Delete</button>{/if}
{/snippet}

<div class="page">
	<h1>Products</h1>
	<p class="soft">
		Generic products with their cards, and your own. Values are from trade tables, from memory; the label comes first.
	</p>
	<div class="row bar">
		<div class="words"><TextInput size="sm" labelText="Find by name" bind:value={words} /></div>
		<Button size="small" kind="tertiary" href="/products/file" download>The catalogue as CSV</Button>
		<FileButton
			label="Import own products (CSV, the same columns)"
			accept={['.csv', 'text/csv']}
			take={(picked) => void take(picked)}
		/>
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<ListTable
		label="Catalogue"
		rows={shown}
		key={({ id }) => id}
		columns={[
			{ name: 'Product', of: ({ name }) => name, cell: nameCell },
			...NUTRIENTS.map((nutrient) => ({
				name: nutrient,
				of: ({ analysis }: Product) => asText(analysis[nutrient]),
				number: true
			})),
			{
				name: unitInSystem('lb/gal', units),
				of: ({ densityLbPerGal: density }) =>
					density && formatNumber(valueInSystem(density, 'lb/gal', units), unitInSystem('lb/gal', units)),
				number: true
			},
			{ name: 'Salt index', of: ({ saltIndex }) => saltIndex, number: true },
			{ name: 'Chloride, %', of: ({ chloridePercent }) => chloridePercent, number: true },
			{ name: 'In water', of: ({ dissolves }) => dissolves },
			{
				name: `Lime to offset acidity, ${weight} per ${weight}`,
				of: ({ acidity }) => asText(acidity?.caco3Lb),
				number: true
			},
			{ name: '', cell: deleteCell }
		]}
	/>
	<section class="section" aria-label="Additives">
		<h2>Additives</h2>
		<div class="additives">
			<ListTable
				label="Additives"
				rows={data.additives}
				key={({ id }) => id}
				columns={[
					{ name: 'Additive', of: ({ name }) => name },
					{ name: 'What it does', of: ({ does }) => does },
					{ name: 'Goes with', of: ({ goesWith }) => goesWith },
					{ name: 'How much', of: ({ rate }) => rate }
				]}
			/>
		</div>
		<p class="soft small">
			Common practice. Their prices stand with the others under Prices, by the treated {units === 'us'
				? 'acre'
				: 'hectare'}.
		</p>
	</section>
	<ProductForm {units} placements={data.placements} hazards={data.hazards} />
	<section class="section" aria-label="Lime">
		<h2>A lime with its test</h2>
		<LimeForm />
	</section>
	<ManureForm {units} kinds={data.kinds} handling={data.handling} />
</div>

<style>
	.bar {
		align-items: end;
		margin-bottom: 0.8rem;
	}
	.words {
		width: 16rem;
	}
	.additives {
		max-width: 64rem;
	}
</style>
