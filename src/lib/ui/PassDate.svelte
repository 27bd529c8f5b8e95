<!-- The day of a planned pass, moved with the arrow keys: by a day, with Shift by a week. -->
<script lang="ts">
	import { addDays, format, parseISO } from 'date-fns';
	import { onDestroy, tick } from 'svelte';
	import type { Pass } from '$core/schema-types';
	import { longDate } from './dates';

	interface Props {
		pass: Pass;
		/** Moves the pass; gives back what went wrong. */
		move: (date: string) => Promise<string | undefined>;
	}
	const { pass, move }: Props = $props();

	/** Keys in a row are one move, kept when they pause for so long, ms. */
	const PAUSE = 350;
	const STEPS: Partial<Record<string, number>> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 };

	let button = $state<HTMLButtonElement>();
	let moved = $state<string | undefined>();
	let timer: ReturnType<typeof setTimeout> | undefined;
	const date = $derived(moved ?? pass.date);

	onDestroy(() => clearTimeout(timer));

	function onkeydown(event: KeyboardEvent): void {
		const step = STEPS[event.key];
		if (step === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
		event.preventDefault();
		moved = format(addDays(parseISO(date), step * (event.shiftKey ? 7 : 1)), 'yyyy-MM-dd');
		clearTimeout(timer);
		timer = setTimeout(() => void keep(), PAUSE);
	}

	async function keep(): Promise<void> {
		if (moved !== undefined && moved !== pass.date) await move(moved);
		moved = undefined;
		// The row may stand in another place now, which takes the focus away.
		await tick();
		button?.focus();
	}
</script>

<button
	bind:this={button}
	type="button"
	class="plain"
	title="Arrow keys move it by a day, with Shift by a week"
	aria-label={`${pass.label} on ${longDate(date)}: arrow keys move it by a day, with Shift by a week`}
	{onkeydown}>{longDate(date)}</button
>
