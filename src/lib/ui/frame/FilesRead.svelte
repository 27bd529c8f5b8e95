<!-- Says that a file is being read, and lets the adviser give it up. A short one is read before this is seen. -->
<script lang="ts">
	import { Button, InlineLoading } from 'carbon-components-svelte';
	import { filesRead } from '../forms/files/files-read.svelte';

	const A_SECOND_MS = 1000;
	let now = $state(Date.now());
	$effect(() => {
		if (filesRead.now.length === 0) return;
		now = Date.now();
		const counting = setInterval(() => (now = Date.now()), A_SECOND_MS);
		return () => clearInterval(counting);
	});
	const secondsSince = (since: number) => Math.max(0, Math.round((now - since) / A_SECOND_MS));
</script>

{#if filesRead.now.length > 0}
	<div class="files no-print" role="status">
		{#each filesRead.now as { name, since, giveUp } (giveUp)}
			<div>
				<InlineLoading description={`Reading ${name}`} />
				<!-- Seen, not said: a reader of the page would say each second. -->
				<span class="soft small" aria-hidden="true">{secondsSince(since)} s</span>
				<Button size="small" kind="tertiary" onclick={giveUp}>Cancel</Button>
			</div>
		{/each}
	</div>
{/if}

<style>
	.files {
		position: fixed;
		inset: auto 1.5rem 1.5rem auto;
		z-index: 50;
		max-width: calc(100vw - 3rem);
		padding: 0.5rem 0.8rem;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		box-shadow: 0 2px 8px rgb(0 0 0 / 15%);
		animation: seen 0s 0.5s both;
	}
	.files div {
		display: flex;
		align-items: center;
		gap: 1rem;
		justify-content: space-between;
	}
	.files :global(.bx--inline-loading) {
		min-width: 0;
		overflow-wrap: anywhere;
	}
	@keyframes seen {
		from {
			visibility: hidden;
		}
		to {
			visibility: visible;
		}
	}
</style>
