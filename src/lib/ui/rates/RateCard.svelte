<!-- The frame of a card under a nutrient: an approach, the own rate, or one that waits for a programme. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		look?: 'plain' | 'chosen' | 'waiting';
		heading: string;
		guide?: string;
		children: Snippet;
		/** How it is chosen, at the foot. */
		pick: Snippet;
	}
	const { look = 'plain', heading, guide = '', children, pick }: Props = $props();
</script>

<div class="cell" class:chosen={look === 'chosen'} class:waiting={look === 'waiting'}>
	<div class="heading">{heading} <span class="soft">{guide}</span></div>
	{@render children()}
	<div class="pick">{@render pick()}</div>
</div>

<style>
	.cell {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.6rem 0.8rem 0.7rem;
		display: flex;
		flex-direction: column;
		gap: 0.15rem;
	}
	.chosen {
		border: 2px solid var(--action);
		background: var(--action-wash);
		padding: calc(0.6rem - 1px) calc(0.8rem - 1px) calc(0.7rem - 1px);
	}
	.waiting {
		background: var(--paper-deep);
		border-style: dashed;
		color: var(--ink-soft);
	}
	.heading {
		font-weight: 600;
		font-size: 0.88rem;
	}
	.heading .soft {
		font-weight: 400;
	}
	.cell :global(.rate) {
		font-size: 1.5rem;
		font-weight: 650;
		line-height: 1.25;
	}
	.cell :global(.mark) {
		color: var(--action);
		font-weight: 650;
	}
	.pick {
		margin-top: auto;
		padding-top: 0.3rem;
		display: flex;
		flex-wrap: wrap;
		gap: 0 1rem;
	}
</style>
