<!-- The steps of a figure, each input above the line it feeds. -->
<script lang="ts">
	import type { Figure } from '$core/figure/figure';
	import { formatQuantity } from '$core/units/display';
	import { basisText } from './basis-text';
	import WorksheetSteps from './WorksheetSteps.svelte';

	interface Props {
		figure: Figure;
		/** The basis that the step below already names; said again only where it differs. */
		saidBasis?: string;
	}
	const { figure, saidBasis = '' }: Props = $props();
	const basis = $derived(basisText(figure));
</script>

<div class="step">
	{#if figure.inputs.length > 0}
		<div class="inputs">
			{#each figure.inputs as input, index (index)}
				<WorksheetSteps figure={input} saidBasis={basis} />
			{/each}
		</div>
	{/if}
	<div class="line" class:result={figure.inputs.length > 0}>
		<span class="label">
			{figure.label}
			{#if figure.formula}<span class="formula">{figure.formula}</span>{/if}
			{#if basis !== saidBasis}<span class="formula">{basis}</span>{/if}
		</span>
		<span class="value">{formatQuantity(figure.value, figure.unit)}</span>
	</div>
</div>

<style>
	.inputs {
		border-left: 2px solid var(--rule);
		padding-left: 0.6rem;
	}
	.line {
		display: flex;
		justify-content: space-between;
		gap: 1rem;
		padding: 0.28rem 0;
	}
	.result {
		border-top: 1px solid var(--ink-soft);
		margin-bottom: 0.5rem;
	}
	.result .value,
	.result .label {
		font-weight: 600;
	}
	.formula {
		display: block;
		font-weight: 400;
		font-size: 0.82rem;
		color: var(--ink-soft);
	}
	.value {
		white-space: nowrap;
		text-align: right;
	}
</style>
