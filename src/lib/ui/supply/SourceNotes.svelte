<!-- What the ground and the crop have to say about the sources of a plan. -->
<script lang="ts">
	import { keysOf } from '$core/check/typed-object';
	import { Button } from 'carbon-components-svelte';
	import { passNutrient, productFor } from '$core/season/plan/pass/pass-nutrients';
	import { productOf } from '$core/season/plan/plan-context';
	import type { Nutrient, Pass, Product } from '$core/schema-types';
	import type { SourceAdvice } from '$core/supply/source-advice';
	import { save, type YearAddress } from '../forms/call';

	interface Props {
		advice: readonly SourceAdvice[];
		passes: readonly Pass[];
		products: readonly Product[];
		address: YearAddress;
	}
	const { advice, passes, products, address }: Props = $props();
	let problem = $state('');

	/** The nutrient that a product is bought for: the largest that both hold. */
	function shared(a: Product, b: Product): Nutrient | undefined {
		const both = keysOf<Nutrient>(a.analysis).filter((nutrient) => (b.analysis[nutrient] ?? 0) > 0);
		return both.sort((x, y) => (a.analysis[y] ?? 0) - (a.analysis[x] ?? 0))[0];
	}

	function replacement(pass: Pass, id: string): Pass | undefined {
		const [now, other] = [productOf(pass, products), products.find((product) => product.id === id)!];
		if (now.lime && other.lime) return { ...pass, product: id };
		const nutrient = shared(now, other);
		return nutrient && { ...pass, product: id, rate: productFor(passNutrient(pass, now, nutrient), other, nutrient) };
	}

	async function take(pass: Pass, id: string): Promise<void> {
		const changed = replacement(pass, id);
		const name = products.find((product) => product.id === id)!.name;
		if (changed)
			problem = await save('POST /api/fields/{field}/{year}/passes', address, {
				removed: [pass.id],
				added: [changed],
				because: { kind: 'source', name },
				seen: [pass]
			});
	}
</script>

<section class="section" aria-label="Sources">
	<h2>Sources</h2>
	{#if advice.length === 0}<p class="soft">Nothing speaks against the sources of this plan.</p>{/if}
	{#each advice as { pass: id, text, instead }, at (at)}
		{@const pass = passes.find((one) => one.id === id)}
		{#if pass}
			<div class="one">
				<p><strong>{pass.label}</strong>: {text} <span class="soft small">Common practice.</span></p>
				<div class="row">
					{#each instead.filter((other) => replacement(pass, other)) as other (other)}
						<Button size="small" kind="tertiary" onclick={() => take(pass, other)}>
							Take {products.find((product) => product.id === other)?.name}
						</Button>
					{/each}
				</div>
			</div>
		{/if}
	{/each}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	.one {
		padding: 0.4rem 0;
		border-bottom: 1px solid var(--rule);
		max-width: 60rem;
	}
	.one p {
		margin-bottom: 0.3rem;
	}
</style>
