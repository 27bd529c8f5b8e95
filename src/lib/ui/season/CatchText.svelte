<!-- A catch crop in a sentence or two: what it takes up, and what is lost with and without it. -->
<script lang="ts">
	import type { CatchCrop } from '$core/schema-types';
	import { longDate } from '$core/units/day-text';
	import type { AfterHarvest } from '$lib/server/field/season/after-harvest';
	import Quantity from '../figure/Quantity.svelte';
	import { modelled } from './board/modelled';

	interface Props {
		sown: CatchCrop;
		after: AfterHarvest;
		kind: string;
	}
	const { sown, after, kind }: Props = $props();
	const days = $derived(`${longDate(sown.sownOn)} to ${longDate(sown.endedOn)}`);
</script>

{#if after.applies}
	{@const { name, left, caught, lost, lostWithout } = after.caught}
	{@const shown = (label: string, value: number) => modelled(label, value, after.unit, kind)}
	<p>
		<strong>{name}, {days}, catches <Quantity answer={shown('N caught', caught)} /> N</strong> by the season model in a {kind}
		simulated year: of <Quantity answer={shown('N left at harvest', left)} /> left at harvest and what organic matter gives
		meanwhile. Leached or denitrified by then: <Quantity answer={shown('N lost with it', lost)} />, without it
		<Quantity answer={shown('N lost without it', lostWithout)} />.
	</p>
{:else if after.applies === false}
	<p>{sown.crop.replace('-', ' ')}, {days}. What it catches is not worked out: {after.reason}.</p>
{/if}
