<!-- Every pass in a row, for those who read rather than look. -->
<script lang="ts">
	import type { Answer } from '$core/figure/figure';
	import { placementText } from '$core/season/plan/placement-text';
	import type { Pass, Severity as SeverityWord } from '$core/schema-types';
	import type { UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import Quantity from '../../figure/Quantity.svelte';
	import Severity from '../../figure/Severity.svelte';

	interface Row {
		plan: Pass;
		doneOn: string | null;
		productName: string;
		rate: Answer;
		nutrients: readonly { nutrient: string; amount: Answer }[];
		cost: Answer;
		cautions: readonly string[];
	}
	interface Props {
		records: readonly Row[];
		units: UnitSystem;
		severityOf: (id: string) => SeverityWord | undefined;
		choose: (id: string) => void;
		edit: (pass: Pass) => void;
		remove: (pass: Pass) => void;
		setDone: (pass: Pass, done: boolean) => void;
	}
	const { records, units, severityOf, choose, edit, remove, setDone }: Props = $props();
</script>

<section class="section" aria-label="All passes">
	<h2>All passes</h2>
	<div class="scroll">
		<table class="ledger">
			<thead>
				<tr>
					<th>Date</th>
					<th>Pass</th>
					<th>Product</th>
					<th class="num">Rate</th>
					<th>Placement</th>
					<th>Supplies, {units === 'us' ? 'lb/ac' : 'kg/ha'}</th>
					<th class="num">Cost</th>
					<th></th>
				</tr>
			</thead>
			<tbody>
				{#each records as { plan, doneOn, productName, rate, nutrients, cost, cautions } (plan.id)}
					{@const severity = severityOf(plan.id)}
					<tr class:done={doneOn !== null}>
						<td class="nowrap">{longDate(doneOn ?? plan.date)}</td>
						<td class="pass">
							<button type="button" class="plain" onclick={() => choose(plan.id)}><strong>{plan.label}</strong></button>
							{#if severity}<Severity {severity} />{/if}
							{#if plan.reason}<div class="small soft">{plan.reason}</div>{/if}
							{#each cautions as caution (caution)}<div class="small caution">▲ {caution}</div>{/each}
						</td>
						<td>{productName}</td>
						<td class="num"><Quantity answer={rate} /></td>
						<td>{placementText(plan)}</td>
						<td>
							{#each nutrients as { nutrient, amount } (nutrient)}
								<div class="nowrap">{nutrient} <Quantity answer={amount} bare /></div>
							{/each}
						</td>
						<td class="num"
							>{#if cost.applies}<Quantity answer={cost} />{:else}<span class="small soft">no price</span>{/if}</td
						>
						<td class="acts">
							{#if doneOn === null}
								<button type="button" class="plain" onclick={() => edit(plan)}>Change</button>
								<button type="button" class="plain" onclick={() => remove(plan)}>Remove</button>
								<button type="button" class="plain" onclick={() => setDone(plan, true)}>Applied</button>
							{:else}
								<span class="small">applied {longDate(doneOn)}</span>
								<button type="button" class="plain" onclick={() => setDone(plan, false)}>Not applied</button>
							{/if}
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
	.nowrap {
		white-space: nowrap;
	}
	.pass {
		min-width: 14rem;
	}
	.done td {
		color: var(--ink-soft);
	}
	.caution {
		color: var(--accent-ink);
		max-width: 34rem;
	}
	.acts {
		white-space: nowrap;
	}
	.acts button {
		margin-right: 0.5rem;
	}
</style>
