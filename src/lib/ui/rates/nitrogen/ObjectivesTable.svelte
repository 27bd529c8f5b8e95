<!-- Three things nitrogen may be wanted for at these prices, with the rate, the yield and what each leaves behind. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import type { Figure } from '$core/figure/figure';
	import { lessCredits } from '$core/packs/less-credits';
	import type { PricedCurve } from '$core/rates/nitrogen/priced-curve';
	import type { Crop, Objective } from '$core/schema-types';
	import { inSystem, unitInSystem, yieldInSystem, yieldUnitOf, type UnitSystem } from '$core/units/rate-units';
	import Quantity from '../../figure/Quantity.svelte';

	interface Props {
		priced: PricedCurve;
		objectives: readonly { id: Objective; key: 'mostYield' | 'mostProfit' | 'leastLeft'; name: string }[];
		/** What comes beside the passes and is off the rate to apply; undefined where nothing does. */
		credits: Figure | undefined;
		crop: Crop;
		units: UnitSystem;
		/** What the curve that is shown was chosen for; undefined where another one was chosen. */
		chosen: Objective | undefined;
		/** Dollars per acre that may be given up, as typed. */
		toleranceText: string;
		choose: (objective: Objective) => void;
	}
	let { priced, objectives, credits, crop, units, chosen, toleranceText = $bindable(), choose }: Props = $props();
</script>

<table class="ledger objectives">
	<thead>
		<tr>
			<th>Wanted</th>
			<th class="num">{credits ? 'N in all' : 'N'}, {unitInSystem('lb/ac', units)}</th>
			{#if credits}<th class="num">To apply</th>{/if}
			<th class="num">Yield, {unitInSystem(yieldUnitOf(crop), units)}</th>
			<th class="num">Return to N, {unitInSystem('$/ac', units)}</th>
			<th class="num">Residual N, {unitInSystem('lb/ac', units)}</th>
			<th></th>
		</tr>
	</thead>
	<tbody>
		{#each objectives as { id, key, name } (id)}
			{@const outcome = priced.outcomes[key]}
			<tr class:chosen={chosen === id}>
				<td>
					{name}
					{#if id === 'least-left'}
						<span class="give">
							giving up at most $<TextInput
								size="sm"
								hideLabel
								labelText="Dollars per acre that may be given up"
								inputmode="decimal"
								bind:value={toleranceText}
							/> per acre
						</span>
					{/if}
				</td>
				{#if outcome}
					{@const rate = priced.objectives[key]}
					<td class="num"><strong><Quantity answer={inSystem(rate, units)} bare label={name} /></strong></td>
					{#if credits}
						<td class="num">
							<strong
								><Quantity
									answer={inSystem(lessCredits(rate, credits), units)}
									bare
									label={`${name}, to apply`}
								/></strong
							>
						</td>
					{/if}
					<td class="num"><Quantity answer={yieldInSystem(outcome.yield, crop, units)} bare /></td>
					<td class="num"><Quantity answer={inSystem(outcome.returns, units)} bare /></td>
					<td class="num">
						{#if outcome.balance.applies}<Quantity answer={inSystem(outcome.balance, units)} bare />{:else}–{/if}
					</td>
				{:else}
					{@const none = priced.objectives[key]}
					<td colspan={credits ? 5 : 4} class="soft">{none.applies ? '' : `${none.reason}. ${none.remedy}`}</td>
				{/if}
				<td>
					{#if chosen === id}<span class="chosen-mark">✓ chosen</span>{:else if outcome}
						<button type="button" class="plain" aria-label={`Choose ${name.toLowerCase()}`} onclick={() => choose(id)}
							>Choose</button
						>
					{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.objectives {
		margin-top: 0.6rem;
	}
	.objectives .chosen td {
		background: var(--action-wash);
	}
	.chosen-mark {
		color: var(--action);
		font-weight: 650;
	}
	.give {
		display: inline-flex;
		align-items: center;
		gap: 0.3rem;
		margin-left: 0.4rem;
		color: var(--ink-soft);
		font-size: 0.88rem;
	}
	.give :global(.bx--text-input) {
		width: 3.6rem;
	}
</style>
