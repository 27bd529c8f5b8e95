<!-- What the nitrogen settled on leaves, the acid it makes, and the passes that the ground forces. -->
<script lang="ts">
	import { figure, type Figure } from '$core/figure/figure';
	import { debtOfNitrogen } from '$core/rates/lime/lime-debt';
	import { inSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import Quantity from '../../figure/Quantity.svelte';

	interface Props {
		nitrogen: NonNullable<RatesPage['nitrogen']>;
		units: UnitSystem;
		/** The rate of the economic optimum at the prices shown. */
		best: Figure | undefined;
	}
	const { nitrogen, units, best }: Props = $props();

	/** The debt of what was chosen beyond the best rate. */
	const extraDebt = $derived.by(() => {
		const { chosen } = nitrogen;
		if (best === undefined || chosen === undefined || chosen <= best.value) return undefined;
		const settled = figure({ label: 'nitrogen settled on', value: chosen, unit: 'lb/ac', basis: 'adviser' });
		const above = figure({
			label: 'nitrogen above the rate of the economic optimum',
			value: chosen - best.value,
			unit: 'lb/ac',
			formula: 'settled on - economic optimum',
			inputs: [settled, best],
			basis: best.basis,
			citation: best.citation
		});
		return inSystem(debtOfNitrogen(above), units);
	});
</script>

<dl>
	<div>
		<dt>Residual N of what is chosen</dt>
		<dd>
			{#if nitrogen.balance.applies}<strong><Quantity answer={nitrogen.balance} /></strong> applied and not taken off at the
				yield goal{:else}{nitrogen.balance.reason}{/if}
		</dd>
	</div>
	<div>
		<dt>Last year</dt>
		<dd>
			{#if nitrogen.lastYear.applies}<strong><Quantity answer={nitrogen.lastYear} /></strong>{:else}{nitrogen.lastYear
					.reason}{/if}
		</dd>
	</div>
	<div>
		<dt>Lime to offset acidity</dt>
		<dd>
			{#if nitrogen.limeDebt.applies}
				<strong><Quantity answer={nitrogen.limeDebt} /></strong> of pure CaCO3{#if nitrogen.limeDebtCost.applies}, <Quantity
						answer={nitrogen.limeDebtCost}
					/>{/if}{#if extraDebt}; <Quantity answer={extraDebt} /> of it for nitrogen beyond the economic optimum{/if}
			{:else}{nitrogen.limeDebt.reason}{/if}
		</dd>
	</div>
	<div>
		<dt>Passes the ground forces</dt>
		<dd>
			{#if nitrogen.leastPasses.applies}<strong><Quantity answer={nitrogen.leastPasses} /></strong> at least, before what
				the growing crop makes room for{:else}{nitrogen.leastPasses.reason}{/if}
		</dd>
	</div>
</dl>

<style>
	dl {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
		gap: 0.6rem 1.6rem;
		margin: 0.9rem 0 0;
		border-top: 1px solid var(--rule);
		padding-top: 0.8rem;
	}
	dt {
		color: var(--ink-soft);
		font-size: 0.84rem;
	}
	dd {
		margin: 0;
	}
</style>
