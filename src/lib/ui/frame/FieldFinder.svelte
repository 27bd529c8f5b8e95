<!-- Type to find a field; arrow keys and Enter open it. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { question } from '../forms/call';

	interface Found {
		id: string;
		name: string;
		grower: string;
	}
	const { year, current }: { year: number; current: string | undefined } = $props();

	let input = $state<HTMLInputElement>();
	let words = $state('');
	let found = $state<Found[]>([]);
	let open = $state(false);
	let at = $state(0);
	let asked = 0;
	/** The words that the list answers to; Enter waits for those that were typed. */
	let answered = '';

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
		at = 0;
		open = true;
	}

	async function enter(): Promise<void> {
		if (answered !== words || !open) await find();
		choose(found[at]);
	}

	function choose(field: Found | undefined): void {
		if (!field) return;
		open = false;
		words = '';
		input?.blur();
		void goto(`/field/${field.id}/${year}/ground`);
	}

	function onkeydown(event: KeyboardEvent): void {
		if (event.key === 'ArrowDown') at = Math.min(at + 1, found.length - 1);
		else if (event.key === 'ArrowUp') at = Math.max(at - 1, 0);
		else if (event.key === 'Enter') void enter();
		else if (event.key === 'Escape') input?.blur();
		else return;
		event.preventDefault();
	}
</script>

<div class="finder">
	<input
		bind:this={input}
		bind:value={words}
		type="text"
		role="combobox"
		aria-label="Find a field"
		aria-expanded={open}
		aria-controls="found-fields"
		aria-activedescendant={open && found[at] ? `found-${at}` : undefined}
		placeholder={current ?? 'Find a field'}
		autocomplete="off"
		onfocus={find}
		oninput={find}
		onblur={() => (open = false)}
		{onkeydown}
	/>
	<span class="key" aria-hidden="true">/</span>
	{#if open}
		<ul id="found-fields" role="listbox" aria-label="Fields">
			{#each found as field, index (field.id)}
				<li
					id={`found-${index}`}
					role="option"
					aria-selected={index === at}
					onmousedown={(event) => {
						event.preventDefault();
						choose(field);
					}}
				>
					{field.name} <span class="soft small">{field.grower}</span>
				</li>
			{:else}
				<li class="soft" role="option" aria-selected="false">No field has these words.</li>
			{/each}
		</ul>
	{/if}
</div>

<style>
	.finder {
		position: relative;
		width: clamp(15rem, 19vw, 20rem);
		max-width: 100%;
	}
	input {
		width: 100%;
		box-sizing: border-box;
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		padding: 0.4rem 1.6rem 0.4rem 0.7rem;
		font-size: 0.95rem;
		color: var(--ink);
	}
	input::placeholder {
		color: var(--ink);
		opacity: 0.85;
	}
	.key {
		position: absolute;
		right: 0.6rem;
		top: 0.45rem;
		color: var(--ink-soft);
	}
	ul {
		position: absolute;
		top: 100%;
		left: 0;
		right: 0;
		background: var(--sheet);
		border: 1px solid var(--rule-strong);
		z-index: 40;
		max-height: 60vh;
		overflow-y: auto;
	}
	li {
		padding: 0.4rem 0.7rem;
		cursor: pointer;
	}
	li[aria-selected='true'],
	li:hover {
		background: var(--action-wash);
	}
</style>
