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
		/** How the number is told where it is not by its unit's digits, as a chance is. */
		text?: string;
		/** What a screen reader says before the number. */
		label?: string;
	}
	const { answer, bare = false, setting = false, text, label }: Props = $props();

	const shown = $derived(
		answer.applies && setting ? machineSetting(answer.value, answer.unit) : answer.applies ? answer.value : 0
	);
	const told = $derived(text ?? (answer.applies ? formatQuantity(shown, answer.unit) : ''));
</script>

{#if answer.applies}
	<button
		type="button"
		class="quantity"
		aria-label={`${label ?? answer.label}: ${told}; open the worksheet`}
		onclick={() => worksheet.open(answer)}
		>{bare && text === undefined ? formatNumber(shown, answer.unit) : told}</button
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
