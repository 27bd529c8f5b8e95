<!-- A number that opens its worksheet, or the reason why there is none. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { machineSetting } from '$core/units/machine-setting';
	import { worksheet } from './worksheet.svelte';

	interface Props {
		answer: Answer;
		/** Leave the unit out where a heading says it. */
		bare?: boolean;
		/** A rate of product: shown as a machine is set to it, in full in the worksheet. */
		setting?: boolean;
		/** What a screen reader says before the number. */
		label?: string;
	}
	const { answer, bare = false, setting = false, label }: Props = $props();

	const shown = $derived(
		answer.applies && setting ? machineSetting(answer.value, answer.unit) : answer.applies ? answer.value : 0
	);
</script>

{#if answer.applies}
	<button
		type="button"
		class="quantity"
		aria-label={`${label ?? answer.label}: ${formatQuantity(shown, answer.unit)}; open the worksheet`}
		onclick={() => worksheet.open(answer)}
		>{bare ? formatNumber(shown, answer.unit) : formatQuantity(shown, answer.unit)}</button
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
