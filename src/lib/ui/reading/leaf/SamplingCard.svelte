<!-- Which leaves are picked, when and how many: a drawing beside the words. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { LeafRanges } from '$core/schema-types';
	import { amountsIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import { basisText } from '../../figure/basis-text';
	import { LEAF_DRAWINGS } from './leaf-drawings';

	interface Props {
		ranges: Pick<LeafRanges, 'part' | 'when' | 'sampling'>;
		units: UnitSystem;
		/** What else is said beside the drawing. */
		children?: Snippet;
	}
	const { ranges, units, children }: Props = $props();
	const drawing = $derived(ranges.sampling?.drawing && LEAF_DRAWINGS[ranges.sampling.drawing]);
</script>

<div class="card">
	{#if drawing}
		<svg viewBox="0 0 120 120" role="img" aria-label={drawing.says}>
			{#each drawing.stems as d (d)}<path class="stem" {d} />{/each}
			{#each drawing.leaves as d (d)}<path class="leaf" {d} />{/each}
			{#each drawing.fruits as d (d)}<path class="fruit" {d} />{/each}
			{#each drawing.picked as d (d)}<path class="picked" {d} />{/each}
		</svg>
	{/if}
	<div>
		<p><strong>{ranges.part}</strong>, {ranges.when}</p>
		{#if ranges.sampling}
			<p>{amountsIn(units, ranges.sampling.how)}</p>
			{#if ranges.sampling.leaves}<p class="soft small">
					About {ranges.sampling.leaves} make a sample. {basisText(ranges.sampling)}
				</p>{/if}
		{/if}
		{@render children?.()}
	</div>
</div>

<style>
	.card {
		display: flex;
		gap: 1.2rem;
		align-items: center;
		max-width: 48rem;
	}
	svg {
		flex: none;
		width: 8.5rem;
		height: 8.5rem;
	}
	.stem {
		fill: none;
		stroke: var(--ink-soft);
		stroke-width: 2.5;
		stroke-linecap: round;
	}
	.leaf {
		fill: var(--paper);
		stroke: var(--rule-strong);
		stroke-width: 1.2;
	}
	.fruit {
		fill: var(--rule-strong);
	}
	.picked {
		fill: var(--action);
		stroke: var(--paper);
		stroke-width: 0.8;
	}
	p {
		margin: 0 0 0.3rem;
	}
</style>
