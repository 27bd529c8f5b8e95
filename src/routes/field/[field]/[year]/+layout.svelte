<script lang="ts">
	import { afterNavigate } from '$app/navigation';
	import { page } from '$app/state';
	import type { Snippet } from 'svelte';
	import { WORDS } from '$lib/ui/frame/words';
	import type { LayoutData } from './$types';

	const { data, children }: { data: LayoutData; children: Snippet } = $props();
	const base = $derived(`/field/${page.params.field}/${page.params.year}`);
	/** The walk belongs to the last word, zones to the first. */
	const at = $derived(page.url.pathname.split('/')[4]?.replace('walk', 'book').replace('zones', 'ground'));
	let line = $state<HTMLElement>();

	/** Where the line is wider than the window, the open word is scrolled into sight; the page itself stays. */
	afterNavigate(() => {
		const open = line?.querySelector<HTMLElement>('[aria-current=page]');
		if (line && open) line.scrollLeft = open.offsetLeft - (line.clientWidth - open.offsetWidth) / 2;
	});
</script>

<nav class="work no-print" aria-label="The work on this field" bind:this={line}>
	{#each WORDS as { path, name } (path)}
		<a href={`${base}/${path}`} class:here={at === path} aria-current={at === path ? 'page' : undefined}>
			<strong>{name}</strong>
			<span>{data.work[path]}</span>
		</a>
	{/each}
</nav>
{@render children()}

<style>
	.work {
		position: relative;
		display: flex;
		background: var(--paper-deep);
		border-bottom: 1px solid var(--rule);
		padding: 0 1.5rem;
		overflow-x: auto;
	}
	a {
		flex: 1 1 0;
		min-width: 7.3rem;
		padding: 0.5rem 0.7rem 0.55rem;
		border-left: 1px solid var(--rule);
		border-top: 3px solid transparent;
		color: var(--ink);
		text-decoration: none;
		line-height: 1.25;
	}
	a:last-child {
		border-right: 1px solid var(--rule);
	}
	a:hover {
		background: var(--action-wash);
	}
	.here {
		background: var(--paper);
		border-top-color: var(--action);
	}
	strong {
		display: block;
		font-size: 0.92rem;
	}
	span {
		font-size: 0.8rem;
		color: var(--ink-soft);
	}
</style>
