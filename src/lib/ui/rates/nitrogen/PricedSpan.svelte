<!-- How far from the best rate costs little, and what missing it by much costs on either side. -->
<script lang="ts">
	import { MISSED_LB, type PricedCurve } from '$core/rates/nitrogen/priced-curve';
	import { inSystem, unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import Quantity from '../../figure/Quantity.svelte';

	const { priced, band, units }: { priced: PricedCurve; band: string; units: UnitSystem } = $props();
</script>

<p>
	{band}
	{#each [['too much', 'more', priced.tooMuch], ['too little', 'less', priced.tooLittle]] as const as [name, side, miss] (name)}
		<span class="miss">
			{Math.round(valueInSystem(MISSED_LB, 'lb/ac', units))}
			{unitInSystem('lb/ac', units)}
			{name}
			{#if miss.dollars.applies}
				costs <strong><Quantity answer={inSystem(miss.dollars, units)} /></strong>
				{#if miss.leftBehind.applies}
					and leaves <strong><Quantity answer={inSystem(miss.leftBehind, units)} /></strong> {side} as residual N.
				{/if}
			{:else}
				cannot be told: {miss.dollars.reason}.
			{/if}
		</span>
	{/each}
</p>

<style>
	.miss {
		margin-right: 0.5rem;
	}
</style>
