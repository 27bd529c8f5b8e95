<!-- Type to find a field; arrow keys and Enter open it. -->
<script lang="ts">
	import { SearchMenu, SearchMenuItem } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { question } from '../forms/call';

	interface Found {
		id: string;
		name: string;
		grower: string;
	}
	const { year, current }: { year: number; current: string | undefined } = $props();

	let input = $state<HTMLInputElement | null>(null);
	let words = $state('');
	let found = $state<Found[]>([]);
	let asked = 0;
	/** The words that the list answers to; Enter waits for those that were typed. */
	let answered: string | undefined;

	export function focus(): void {
		input?.focus();
	}

	async function find(): Promise<void> {
		const mine = ++asked;
		const wanted = words;
		const { answer = [] } = await question('GET /api/fields', {}, { find: wanted });
		// Answers may come back out of order; only the newest question counts.
		if (mine !== asked) return;
		found = answer;
		answered = wanted;
	}

	/** Enter with nothing marked takes the first that the words find. */
	async function enter(): Promise<void> {
		if (answered !== words) await find();
		open(found[0]?.id);
	}

	function open(id: string | undefined): void {
		if (id === undefined) return;
		words = '';
		input?.blur();
		void goto(`/field/${id}/${year}/ground`);
	}
</script>

<div class="finder">
	<SearchMenu
		size="sm"
		labelText="Find a field"
		placeholder={current ?? 'Find a field (/)'}
		shouldFilter={false}
		portal={false}
		autocomplete="off"
		bind:value={words}
		bind:ref={input}
		on:focus={find}
		on:input={find}
		on:submit={() => void enter()}
		on:select={({ detail }) => open(detail.value)}
	>
		{#each found as { id, name, grower } (id)}
			<SearchMenuItem value={id}>{name} <span class="soft small">{grower}</span></SearchMenuItem>
		{/each}
		<svelte:fragment slot="noResults">No field has these words.</svelte:fragment>
	</SearchMenu>
</div>

<style>
	.finder {
		position: relative;
		width: clamp(15rem, 19vw, 20rem);
		max-width: 100%;
	}
	.finder :global(.bx--search-input) {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
	}
	.finder :global(.bx--search-input::placeholder) {
		color: var(--ink);
		opacity: 0.85;
	}
	.finder :global(.bx--search-menu__menu) {
		max-height: 60vh;
		overflow-y: auto;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
	}
	.finder :global(.bx--search-menu-item--highlighted) {
		background: var(--action-wash);
	}
</style>
