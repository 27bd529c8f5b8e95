<!-- The pass that is chosen on the board: what it is, the room on its day, what the rules say, and what can be done with it. -->
<script lang="ts">
	import Mark from '../../figure/Mark.svelte';
	import { Button } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import { placementText } from '$core/season/plan/placement-text';
	import type { Pass, PassCheck, Remedy } from '$core/schema-types';
	import type { UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import Quantity from '../../figure/Quantity.svelte';
	import CheckList from './CheckList.svelte';

	interface Props {
		/** As it is shown, which may be on another day than it is kept. */
		pass: Pass;
		units: UnitSystem;
		doneOn: string | null;
		/** The ground that it goes on, where it is not the whole field. */
		part: string | undefined;
		/** Where what was applied is recorded. */
		records: string;
		productName: string;
		rate: Answer;
		/** The same by the plant, the row and the treated strip of a block. */
		bases: readonly Answer[];
		/** The strength of a leaf spray. */
		spray: Answer | undefined;
		nutrients: readonly { nutrient: string; amount: Answer }[];
		cost: Answer;
		/** What the ground takes on that day. */
		room: Answer;
		cautions: readonly string[];
		/** The crop's stage on that day, in words. */
		stage: string | undefined;
		/** Products that go on in the same trip. */
		together: readonly string[];
		checks: readonly PassCheck[];
		apply: (remedy: Remedy, pass: string | undefined) => void;
		edit: () => void;
		addProduct: () => void;
		remove: () => void;
		setDone: (done: boolean) => void;
	}
	const {
		pass,
		units,
		doneOn,
		part,
		records,
		productName,
		rate,
		bases,
		spray,
		nutrients,
		cost,
		room,
		cautions,
		stage,
		together,
		checks,
		apply,
		edit,
		addProduct,
		remove,
		setDone
	}: Props = $props();
</script>

<section class="panel" aria-label="The chosen pass">
	<h2>{pass.label}</h2>
	<p class="soft">
		{doneOn ? `Applied ${longDate(doneOn)}` : longDate(pass.date)}{#if stage}, {stage}{/if}{#if part}, <strong
				>{doneOn ? part : `the rest, ${part}`}</strong
			>{/if}
	</p>
	<dl>
		<dt>Product</dt>
		<dd>{productName}</dd>
		<dt>Rate</dt>
		<dd><Quantity answer={rate} /></dd>
		{#each bases as answer, at (at)}
			<dt>For {answer.label}</dt>
			<dd><Quantity {answer} /></dd>
		{/each}
		{#if spray}
			<dt>Strength of the spray</dt>
			<dd><Quantity answer={spray} /></dd>
		{/if}
		<dt>Placement</dt>
		<dd>{placementText(pass, units)}</dd>
		{#if pass.machine}
			<dt>Machine</dt>
			<dd>{pass.machine}</dd>
		{/if}
		{#if pass.ground}
			<dt>Ground that day</dt>
			<dd>{pass.ground}</dd>
		{/if}
		{#each nutrients as { nutrient, amount } (nutrient)}
			<dt>{nutrient}</dt>
			<dd><Quantity answer={amount} /></dd>
		{/each}
		{#if room.applies}
			<dt>N capacity left that day</dt>
			<dd><Quantity answer={room} /></dd>
		{/if}
		<dt>Cost</dt>
		<dd>
			{#if cost.applies}<Quantity answer={cost} />{:else}<span class="soft">no price</span>{/if}
		</dd>
		{#if together.length > 0}
			<dt>In the same trip</dt>
			<dd>{together.join(', ')}</dd>
		{/if}
	</dl>
	{#if pass.reason}<p class="small soft">{pass.reason}</p>{/if}
	<CheckList {checks} {apply} />
	{#each cautions as caution, at (at)}<p class="small caution"><Mark /> {caution}</p>{/each}
	<div class="row acts">
		{#if doneOn === null}
			<Button size="small" kind="tertiary" onclick={edit}>Change</Button>
			{#if part === undefined}
				<button type="button" class="plain" onclick={() => setDone(true)}>Applied</button>
			{/if}
			<a href={records}>Record what was applied</a>
			<button type="button" class="plain" onclick={remove}>Remove</button>
			<button type="button" class="plain" onclick={addProduct}>Add a product to this trip</button>
		{:else if part !== undefined}
			<a href={records}>Correct the record</a>
		{:else}
			<button type="button" class="plain" onclick={() => setDone(false)}>Not applied after all</button>
		{/if}
	</div>
</section>

<style>
	h2 {
		margin-bottom: 0;
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.3rem 1rem;
		margin: 0.4rem 0 0.6rem;
		font-size: 0.92rem;
	}
	dt {
		color: var(--ink-soft);
	}
	dd {
		margin: 0;
		text-align: right;
	}
	.caution {
		color: var(--accent-ink);
		margin: 0.5rem 0 0;
	}
	.acts {
		margin-top: 0.8rem;
		gap: 0.5rem 1rem;
		align-items: center;
		font-size: 0.92rem;
	}
</style>
