<!-- The drawer at the right: why this number. -->
<script lang="ts">
	import { Dialog } from 'carbon-components-svelte';
	import { tick } from 'svelte';
	import { allCautions } from '$core/figure/figure';
	import { formatQuantity } from '$core/units/display';
	import { basisText } from './basis-text';
	import { worksheet } from './worksheet.svelte';
	import WorksheetSteps from './WorksheetSteps.svelte';

	const answer = $derived(worksheet.answer);
	let inside = $state<HTMLElement>();

	$effect(() => {
		if (answer) void tick().then(() => inside?.closest('dialog')?.focus());
	});
</script>

<svelte:window
	onkeydown={(event) => {
		if (event.key === 'Escape' && worksheet.answer) worksheet.close();
	}}
/>

<Dialog
	open={answer !== undefined}
	class="worksheet no-print"
	aria-label="Worksheet"
	tabindex={-1}
	on:close={() => worksheet.close()}
>
	{#if answer}
		<div bind:this={inside}>
			<div class="head">
				<h2>
					{#if answer.applies}Why {formatQuantity(answer.value, answer.unit)}{:else}Why there is none{/if}
				</h2>
				<button type="button" class="plain" onclick={() => worksheet.close()}>Close</button>
			</div>
			<p class="soft">{answer.label}</p>
			{#if answer.applies}
				<WorksheetSteps figure={answer} saidBasis={basisText(answer)} />
				<h3>Basis</h3>
				<p>{basisText(answer)}</p>
				{@const cautions = allCautions(answer)}
				{#if answer.wouldChange && answer.wouldChange.length > 0}
					<h3>What would change it</h3>
					{#each answer.wouldChange as change, at (at)}<p class="change">{change}</p>{/each}
				{/if}
				{#if cautions.length > 0}
					<h3>Cautions</h3>
					<ul>
						{#each cautions as caution, at (at)}<li>{caution}</li>{/each}
					</ul>
				{/if}
			{:else}
				<p>It does not apply, because {answer.reason}.</p>
				<p>{answer.remedy}</p>
			{/if}
		</div>
	{/if}
</Dialog>

<style>
	:global(dialog.worksheet.bx--dialog) {
		position: fixed;
		inset: 0 0 0 auto;
		margin: 0;
		width: min(400px, 100vw);
		max-width: none;
		height: auto;
		max-height: none;
		overflow-y: auto;
		background: var(--sheet);
		color: var(--ink);
		border: 0;
		border-left: 1px solid var(--rule-strong);
		box-shadow: -6px 0 18px rgb(28 35 30 / 9%);
		padding: 1.2rem 1.3rem 2rem;
		z-index: 50;
	}
	/* Beside the page, not over it: the bar with undo and units stays in reach. */
	@media (min-width: 1100px) {
		:global(dialog.worksheet.bx--dialog) {
			top: 3.25rem;
			box-shadow: none;
		}
	}
	:global(dialog.worksheet:focus) {
		outline: none;
	}
	.head {
		display: flex;
		justify-content: space-between;
		align-items: baseline;
		gap: 1rem;
	}
	h3 {
		margin-top: 1rem;
		padding-top: 0.8rem;
		border-top: 1px solid var(--rule);
	}
	.change {
		margin: 0 0 0.15rem;
	}
	ul {
		margin: 0;
		padding-left: 1.1rem;
		list-style: disc;
	}
	li + li {
		margin-top: 0.4rem;
	}
</style>
