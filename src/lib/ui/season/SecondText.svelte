<!-- A second crop in a sentence or two: what it takes up of the nitrogen in the ground, and what is lost meanwhile. -->
<script lang="ts">
	import type { SecondCrop } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { longDate } from '$core/units/day-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { AfterHarvest } from '$lib/server/field/season/after-harvest';
	import Quantity from '../figure/Quantity.svelte';
	import { modelled } from './board/modelled';

	interface Props {
		second: { planted: SecondCrop; name: string; unit: string };
		grown: NonNullable<AfterHarvest['second']>;
		kind: string;
		units: UnitSystem;
	}
	const { second, grown, kind, units }: Props = $props();
	const { planted, name, unit } = $derived(second);
</script>

<p>
	<strong>Second crop: {name.toLowerCase()}, {quantityIn(units, planted.yieldGoal, unit)}</strong
	>{#if planted.plantingDate}, planted {longDate(planted.plantingDate)}{/if}.
	{#if grown.applies}
		{@const { left, caught, wanted, lost, lostWithout } = grown.caught}
		{@const shown = (label: string, value: number) => modelled(label, value, grown.unit, kind)}
		By the season model in a {kind} simulated year it takes up <Quantity answer={shown('N uptake', caught)} />
		{#if wanted !== undefined}of <Quantity answer={shown('N demand', wanted)} />{/if} N: of
		<Quantity answer={shown('N left at harvest', left)} /> left at the first harvest, what is put on and what organic matter
		gives meanwhile. Leached or denitrified by its end: <Quantity answer={shown('N lost with it', lost)} />, on bare
		ground
		<Quantity answer={shown('N lost without it', lostWithout)} />.
	{:else}
		What it takes up is not worked out: {grown.reason}.
	{/if}
</p>
