<!-- The plan beside other ways to put on the same nitrogen, in the year that is shown. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import type { ComparedProgramme } from '$core/season/propose/compare-programmes';
	import type { RunAnswer } from '$core/season/model/run-season';
	import Quantity from '../../figure/Quantity.svelte';
	import Severity from '../../figure/Severity.svelte';
	import { modelled } from './modelled';

	interface Programme extends Omit<ComparedProgramme, 'cost'> {
		cost: Answer;
	}
	interface Props {
		programmes: readonly Programme[];
		unit: RunAnswer['unit'];
		kind: string;
		take: (programme: Programme) => void;
	}
	const { programmes, unit, kind, take }: Props = $props();
</script>

{#snippet amount(label: string, value: number)}
	<Quantity answer={modelled(label, Math.round(value), unit, kind)} bare />
{/snippet}

<section class="section" aria-label="Programmes side by side">
	<h2>Programmes side by side</h2>
	<p class="soft small">The same nitrogen in other ways, in the {kind} simulated year above. Nitrogen in {unit}.</p>
	<div class="scroll">
		<table class="ledger">
			<thead>
				<tr>
					<th>Programme</th>
					<th class="num">Trips with N</th>
					<th class="num">Days short</th>
					<th class="num">Volatilized</th>
					<th class="num">Denitrified</th>
					<th class="num">Leached</th>
					<th class="num">Residual N</th>
					<th class="num">Cost of N</th>
					<th>Checks</th>
					<th></th>
				</tr>
			</thead>
			<tbody>
				{#each programmes as programme, at (programme.name)}
					{@const { name, trips, balance, cost, stops, minds } = programme}
					<tr>
						<td><strong>{name}</strong></td>
						<td class="num">{trips}</td>
						<td class="num">{balance.shortDays}</td>
						<td class="num">{@render amount(`${name}, volatilized`, balance.volatilised)}</td>
						<td class="num">{@render amount(`${name}, denitrified`, balance.denitrified)}</td>
						<td class="num">{@render amount(`${name}, leached`, balance.leached)}</td>
						<td class="num">{@render amount(`${name}, left at harvest`, balance.leftInGround)}</td>
						<td class="num"
							>{#if cost.applies}<Quantity answer={cost} />{:else}<span class="soft small">no price</span>{/if}</td
						>
						<td class="checks">
							{#if stops > 0}{stops} <Severity severity="stop" />{/if}
							{#if minds > 0}{minds} <Severity severity="mind" />{/if}
							{#if stops + minds === 0}<span class="soft">none</span>{/if}
						</td>
						<td>
							{#if at > 0}<button type="button" class="plain" onclick={() => take(programme)}>Take this one</button
								>{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
</section>

<style>
	.scroll {
		overflow-x: auto;
	}
	.checks {
		white-space: nowrap;
	}
</style>
