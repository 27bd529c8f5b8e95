<!-- What can be done with one row of a list. -->
<script lang="ts">
	import { OverflowMenu, OverflowMenuItem } from 'carbon-components-svelte';

	interface Props {
		label: string;
		acts: readonly { text: string; act?: () => void; href?: string }[];
	}
	const { label, acts }: Props = $props();
</script>

<OverflowMenu size="sm" flipped iconDescription={label} aria-label={label}>
	{#each acts as { text, act, href }, at (at)}
		<OverflowMenuItem {text} {href} on:click={() => act?.()} />
	{/each}
</OverflowMenu>
