<!-- What the colours of a layer or surface stand for. -->
<script lang="ts">
	import { formatNumber } from '$core/units/display';
	import { cssColor, legendClasses } from './ramp';

	const { title, unit, values }: { title: string; unit: string; values: ArrayLike<number> } = $props();
	const classes = $derived(legendClasses(values));
	/** As many digits as tell the classes apart. */
	const text = (value: number) => formatNumber(Number(value.toPrecision(3)), 'ratio');
</script>

<div class="legend" aria-label={`Legend: ${title}`} role="img">
	<strong>{title}{unit ? `, ${unit}` : ''}</strong>
	{#each classes as { from, to, share }, at (at)}
		<span><i style:background={cssColor(share)}></i>{from === to ? text(from) : `${text(from)} to ${text(to)}`}</span>
	{/each}
</div>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1rem;
		font-size: 0.84rem;
		background: var(--paper);
		border: 1px solid var(--rule);
		padding: 0.4rem 0.6rem;
	}
	span {
		display: flex;
		align-items: center;
		gap: 0.4rem;
	}
	i {
		width: 1.1rem;
		height: 0.8rem;
		border: 1px solid var(--rule-strong);
	}
</style>
