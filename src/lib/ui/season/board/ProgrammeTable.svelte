<!-- The plan beside other ways to put on the same nitrogen, in the year that is shown. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import type { ComparedProgramme } from '$core/season/propose/compare-programmes';
	import { inSystem, unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import type { RunAnswer } from '$core/season/model/run-season';
	import ListTable from '../../tables/ListTable.svelte';
	import Quantity from '../../figure/Quantity.svelte';
	import Severity from '../../figure/Severity.svelte';
	import { modelled } from './modelled';

	type Programme = ComparedProgramme;
	interface Props {
		programmes: readonly Programme[];
		unit: RunAnswer['unit'];
		units: UnitSystem;
		kind: string;
		take: (programme: Programme) => void;
	}
	const valueOf = (answer: Answer | undefined) => (answer?.applies ? answer.value : undefined);
	const { programmes, unit, units, kind, take }: Props = $props();
	/** Money for each acre or hectare. */
	const perArea = $derived(unitInSystem('$/ac', units));
</script>

{#snippet nameCell({ name }: Programme)}<strong>{name}</strong>{/snippet}
{#snippet volatilizedCell({ name, balance }: Programme)}
	{@render amount(`${name}, volatilized`, balance.volatilised)}
{/snippet}
{#snippet denitrifiedCell({ name, balance }: Programme)}
	{@render amount(`${name}, denitrified`, balance.denitrified)}
{/snippet}
{#snippet leachedCell({ name, balance }: Programme)}{@render amount(`${name}, leached`, balance.leached)}{/snippet}
{#snippet residualCell({ name, balance }: Programme)}
	{@render amount(`${name}, left at harvest`, balance.leftInGround)}
{/snippet}
{#snippet priced(answer: Answer | undefined)}
	{#if answer?.applies}<Quantity answer={inSystem(answer, units)} bare />{:else}<span class="soft small">no price</span
		>{/if}
{/snippet}
{#snippet nitrogenCell({ nitrogen }: Programme)}{@render priced(nitrogen)}{/snippet}
{#snippet tripsCell({ tripsCost }: Programme)}{@render priced(tripsCost)}{/snippet}
{#snippet costCell({ cost }: Programme)}{@render priced(cost)}{/snippet}
{#snippet checksCell({ stops, minds }: Programme)}
	<span class="checks">
		{#if stops > 0}{stops} <Severity severity="stop" />{/if}
		{#if minds > 0}{minds} <Severity severity="mind" />{/if}
		{#if stops + minds === 0}<span class="soft">none</span>{/if}
	</span>
{/snippet}
{#snippet takeCell(programme: Programme)}
	{#if programme !== programmes[0]}
		<button type="button" class="plain" onclick={() => take(programme)}>Take this one</button>
	{/if}
{/snippet}

{#snippet amount(label: string, value: number)}
	<Quantity answer={modelled(label, Math.round(value), unit, kind)} bare />
{/snippet}

<section class="section" aria-label="Programmes side by side">
	<h2>Programmes side by side</h2>
	<p class="soft small">The same nitrogen in other ways, in the {kind} simulated year above. Nitrogen in {unit}.</p>
	<ListTable
		label="Programmes side by side"
		rows={programmes}
		key={({ name }) => name}
		columns={[
			{ name: 'Programme', of: ({ name }) => name, cell: nameCell },
			{ name: 'Trips with N', of: ({ trips }) => trips, number: true },
			{ name: 'Days short', of: ({ balance }) => balance.shortDays, number: true },
			{ name: 'Volatilized', of: ({ balance }) => balance.volatilised, cell: volatilizedCell, number: true },
			{ name: 'Denitrified', of: ({ balance }) => balance.denitrified, cell: denitrifiedCell, number: true },
			{ name: 'Leached', of: ({ balance }) => balance.leached, cell: leachedCell, number: true },
			{ name: 'Residual N', of: ({ balance }) => balance.leftInGround, cell: residualCell, number: true },
			{ name: `N, ${perArea}`, of: ({ nitrogen }) => valueOf(nitrogen), cell: nitrogenCell, number: true },
			{ name: `Trips, ${perArea}`, of: ({ tripsCost }) => valueOf(tripsCost), cell: tripsCell, number: true },
			{ name: `Whole plan, ${perArea}`, of: ({ cost }) => valueOf(cost), cell: costCell, number: true },
			{ name: 'Checks', of: ({ stops, minds }) => 1000 * stops + minds, cell: checksCell },
			{ name: '', cell: takeCell }
		]}
	/>
</section>

<style>
	.checks {
		white-space: nowrap;
	}
</style>
