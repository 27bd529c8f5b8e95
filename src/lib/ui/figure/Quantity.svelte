<!-- A number that opens its worksheet, or the reason why there is none. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { worksheet } from './worksheet.svelte';

	interface Props {
		answer: Answer;
		/** Leave the unit out where a heading says it. */
		bare?: boolean;
		/** What a screen reader says before the number. */
		label?: string;
	}
	const { answer, bare = false, label }: Props = $props();
</script>

{#if answer.applies}
	<button
		type="button"
		class="quantity"
		aria-label={`${label ?? answer.label}: ${formatQuantity(answer.value, answer.unit)}; open the worksheet`}
		onclick={() => worksheet.open(answer)}
		>{bare ? formatNumber(answer.value, answer.unit) : formatQuantity(answer.value, answer.unit)}</button
	>
{:else}
	<span class="soft">{answer.reason}</span>
{/if}

<style>
	.quantity {
		background: none;
		border: 0;
		border-bottom: 1px dotted currentColor;
		padding: 0;
		font: inherit;
		color: inherit;
		cursor: pointer;
		white-space: nowrap;
	}
	.quantity:hover {
		color: var(--action);
		border-bottom-style: solid;
	}
</style>
