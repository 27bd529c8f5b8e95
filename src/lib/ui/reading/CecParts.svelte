<!-- What makes the CEC of a soil, and what raising its organic matter would take. -->
<script lang="ts">
	import { Disclosure } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import type { ReadingPage } from '$lib/server/pages/reading-page';
	import { quantityIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import Quantity from '../figure/Quantity.svelte';

	interface Props {
		parts: NonNullable<ReadingPage['reading']>['cecParts'];
		units: UnitSystem;
	}
	const { parts, units }: Props = $props();

	const lines: { name: string; answer: Answer }[] = $derived([
		{ name: 'Held by organic matter', answer: parts.fromOrganicMatter },
		{ name: 'Held by clay', answer: parts.fromClay },
		{
			name: 'To a percent of clay (0.1 kaolinite, 0.2 to 0.4 illite, 0.8 and more smectite)',
			answer: parts.perPercentClay
		},
		{ name: 'One more percent of organic matter would hold, of nitrogen at one time', answer: parts.holdsMore },
		{
			name: `Years for that percent, with ${quantityIn(units, 4, 'short ton/ac')} of dry residue or manure more each year`,
			answer: parts.yearsForOne
		},
		{ name: 'Some promise 0.25 % a year: dry residue that would take, each year', answer: parts.tonsForClaim }
	]);
</script>

<Disclosure align="start" summary="What makes this CEC">
	<dl class="fact-lines">
		{#each lines as { name, answer } (name)}
			<div>
				<dt>{name}</dt>
				<dd>
					{#if answer.applies}<Quantity {answer} />{:else}<span class="soft small">{answer.reason}</span>{/if}
				</dd>
			</div>
		{/each}
	</dl>
	<p class="soft small">
		Clay stays as it is; organic matter rises slowly by residue left on the field, manure and compost, cover crops, a
		perennial in the rotation, and less tillage. All numbers are common practice.
	</p>
</Disclosure>
