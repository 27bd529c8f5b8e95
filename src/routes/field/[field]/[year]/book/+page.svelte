<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { format, parseISO } from 'date-fns';
	import { untrack } from 'svelte';
	import type { Pass } from '$core/schema-types';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { longDate } from '$core/units/day-text';
	import { numberOrUndefined } from '$lib/ui/forms/numbers';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let harvest = $state(untrack(() => data.goal?.harvested?.toString() ?? ''));
	let problem = $state('');

	const address = $derived({ field: data.fieldId, year: data.year });

	async function bookHarvest(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const harvestedYield = harvest.trim() === '' ? null : numberOrUndefined(harvest);
		if (harvestedYield === undefined || (harvestedYield ?? 0) < 0) return void (problem = `“${harvest}” is no yield.`);
		problem = await save('PUT /api/fields/{field}/{year}/harvest', address, { harvestedYield });
	}

	async function setDone(seen: Pass, doneOn: string | null): Promise<void> {
		problem = await save('PUT /api/fields/{field}/{year}/done', address, { pass: seen.id, doneOn, seen });
	}

	async function undo(event: number): Promise<void> {
		problem = await save('POST /api/undo', {}, { event });
	}
</script>

<div class="page">
	<h1>What happened in {data.year}</h1>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if !data.goal}
		<p class="soft">No crop is in the book for this year. Set one under Rates.</p>
	{:else}
		<form class="row" onsubmit={bookHarvest}>
			<p class="goal">{data.goal.crop}, goal {formatNumber(data.goal.yieldGoal, 'yield')} {data.goal.unit}.</p>
			<div class="yield">
				<TextInput size="sm" labelText={`Harvested, ${data.goal.unit}`} inputmode="decimal" bind:value={harvest} />
			</div>
			<Button size="small" kind="tertiary" type="submit">Save the harvest</Button>
		</form>
		<p>
			<a href={`/field/${data.fieldId}/${data.year}/walk`}
				>Count tillers, record a nitrate test or N-rich and zero-N strips</a
			>
		</p>
		<section class="section">
			<h2>Passes, planned and applied</h2>
			{#if data.passes.length === 0}
				<p class="soft">No pass is planned or recorded for this year.</p>
			{:else}
				<table class="ledger">
					<thead
						><tr
							><th>Planned</th><th>Pass</th><th>Product</th><th class="num">Rate</th><th>Supplies</th><th>Applied</th
							><th></th></tr
						></thead
					>
					<tbody>
						{#each data.passes as { plan, doneOn, productName, rate, nutrients } (plan.id)}
							<tr>
								<td>{longDate(plan.date)}</td>
								<td>{plan.label}</td>
								<td>{productName}</td>
								<td class="num"><Quantity answer={rate} /></td>
								<td>
									{#each nutrients as { nutrient, amount } (nutrient)}
										<span class="nutrient">{nutrient} <Quantity answer={amount} bare /></span>
									{/each}
								</td>
								<td>{doneOn ? longDate(doneOn) : 'not yet'}</td>
								<td>
									{#if doneOn}
										<button type="button" class="plain" onclick={() => setDone(plan, null)}>Not applied</button>
									{:else}
										<button type="button" class="plain" onclick={() => setDone(plan, plan.date)}
											>Applied as planned</button
										>
									{/if}
								</td>
							</tr>
						{/each}
					</tbody>
				</table>
			{/if}
		</section>
		{#each data.logs as { id, label, appliedOn, unit, zones, share } (id)}
			<section class="section" aria-label={`The monitor’s log: ${label}`}>
				<h2>By the monitor: {label}</h2>
				<p class="soft">{longDate(appliedOn)}, over {Math.round(100 * share)} % of the ground.</p>
				<table class="ledger log">
					<thead
						><tr
							><th>Part</th><th class="num">Planned</th><th class="num">Applied</th><th class="num">Off by</th><th
								class="num">Varies by</th
							></tr
						></thead
					>
					<tbody>
						{#each zones as { zone, wanted, applied, variation, points } (zone)}
							<tr>
								<td>{zone}</td>
								<td class="num">{formatQuantity(wanted, unit)}</td>
								<td class="num">{points > 0 ? formatQuantity(applied, unit) : 'nothing logged'}</td>
								<td class="num"
									>{points > 0 && wanted > 0 ? formatQuantity((100 * (applied - wanted)) / wanted, '%') : ''}</td
								>
								<td class="num">{points > 0 ? formatQuantity(variation, '%') : ''}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</section>
		{/each}
	{/if}
	<section class="section">
		<h2>Changes on this field</h2>
		{#if data.events.length === 0}
			<p class="soft">None yet. Whatever you change is written here, and can be undone.</p>
		{:else}
			<table class="ledger">
				<thead><tr><th>When</th><th>What</th><th></th></tr></thead>
				<tbody>
					{#each data.events as { id, at, label, undone, isUndo } (id)}
						<tr>
							<td>{format(parseISO(at), 'd MMM yyyy HH:mm')}</td>
							<td class:undone>{label}</td>
							<td>
								{#if undone}<span class="soft">undone</span>{:else if !isUndo}
									<button type="button" class="plain" onclick={() => undo(id)}>Undo</button>
								{/if}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
</div>

<style>
	.log {
		max-width: 44rem;
	}
	.nutrient {
		margin-right: 0.7rem;
		white-space: nowrap;
	}
	.goal {
		margin: 0;
		align-self: center;
	}
	.yield {
		width: 9rem;
	}
	.undone {
		text-decoration: line-through;
		color: var(--ink-soft);
	}
	.problem {
		color: var(--stop);
	}
</style>
