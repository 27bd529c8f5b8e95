<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { NUTRIENTS } from '$core/season/plan/pass/pass-nutrients';
	import { formatNumber } from '$core/units/display';
	import ProductForm from '$lib/ui/supply/ProductForm.svelte';
	import ManureForm from '$lib/ui/supply/ManureForm.svelte';
	import { call, remove } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
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

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		notice = '';
		const { answer, problem: failed } = await call(
			'POST /api/products/file',
			{},
			{
				csv: (await file.text()).slice(0, 500_000) || ' '
			}
		);
		problem = failed ?? '';
		if (answer) notice = `${answer.taken} imported, ${answer.passedOver} of the shipped catalogue passed over.`;
	}

	async function removeProduct(id: string): Promise<void> {
		problem = await remove('DELETE /api/products/{product}', { product: id });
	}
</script>

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
	<div class="scroll">
		<table class="ledger" aria-label="Catalogue">
			<thead>
				<tr>
					<th>Product</th>
					{#each NUTRIENTS as nutrient (nutrient)}<th class="num">{nutrient}</th>{/each}
					<th class="num">lb/gal</th>
					<th class="num">Salt index</th>
					<th class="num">Chloride, %</th>
					<th>In water</th>
					<th class="num">Lime to offset acidity, lb per lb</th>
					<th></th>
				</tr>
			</thead>
			<tbody>
				{#each shown as product (product.id)}
					<tr>
						<td class="name"
							><strong>{product.name}</strong>{#if product.own}<div class="soft small">your own</div>{/if}</td
						>
						{#each NUTRIENTS as nutrient (nutrient)}
							<td class="num"
								>{product.analysis[nutrient] === undefined ? '' : formatNumber(product.analysis[nutrient], 'ratio')}</td
							>
						{/each}
						<td class="num">{product.densityLbPerGal ?? ''}</td>
						<td class="num">{product.saltIndex ?? ''}</td>
						<td class="num">{product.chloridePercent ?? ''}</td>
						<td>{product.dissolves ?? ''}</td>
						<td class="num">{product.acidity ? formatNumber(product.acidity.caco3Lb, 'ratio') : ''}</td>
						<td
							>{#if product.own}<button type="button" class="plain" onclick={() => removeProduct(product.id)}
									>Delete</button
								>{/if}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<section class="section" aria-label="Additives">
		<h2>Additives</h2>
		<table class="ledger additives">
			<thead><tr><th>Additive</th><th>What it does</th><th>Goes with</th><th>How much</th></tr></thead>
			<tbody>
				{#each data.additives as { id, name, does, goesWith, rate } (id)}
					<tr><td><strong>{name}</strong></td><td>{does}</td><td>{goesWith}</td><td>{rate}</td></tr>
				{/each}
			</tbody>
		</table>
		<p class="soft small">Common practice. Their prices stand with the others under Prices, by the treated acre.</p>
	</section>
	<ProductForm placements={data.placements} hazards={data.hazards} />
	<ManureForm kinds={data.kinds} handling={data.handling} />
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
	.scroll {
		overflow-x: auto;
	}
	.name {
		min-width: 14rem;
	}
	.problem {
		color: var(--stop);
	}
</style>
