<!-- A pass on the board: dragged along the time axis, or moved by the arrow keys: by a day, with Shift by a week. -->
<script lang="ts">
	import { addDays, format, parseISO } from 'date-fns';
	import { drag, type D3DragEvent } from 'd3-drag';
	import { select } from 'd3-selection';
	import { onDestroy, tick } from 'svelte';
	import type { Pass, Severity as SeverityWord } from '$core/schema-types';
	import { longDate, shortDate } from '$core/units/day-text';
	import Severity from '../../figure/Severity.svelte';

	interface Props {
		pass: Pass;
		/** What it brings, in short: "60 N". */
		brings: string;
		severity: SeverityWord | undefined;
		selected: boolean;
		/** Applied passes stay where they are. */
		done: boolean;
		left: number;
		top: number;
		width: number;
		/** The day's line is at the card's right edge. */
		atRight: boolean;
		/** The day at so many pixels from where the card stood. */
		dateAfter: (pixels: number) => string;
		choose: () => void;
		/** Shows it on another day. */
		show: (date: string) => void;
		/** Keeps the day that is shown. */
		keep: () => Promise<void>;
		/** Puts it back. */
		drop: () => void;
	}
	const {
		pass,
		brings,
		severity,
		selected,
		done,
		left,
		top,
		width,
		atRight,
		dateAfter,
		choose,
		show,
		keep,
		drop
	}: Props = $props();

	/** Keys in a row are one move, kept when they pause for so long, ms. */
	const PAUSE = 350;
	const STEPS: Partial<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };
	/** Less than this is a click, pixels. */
	const CLICK = 3;

	let button = $state<HTMLButtonElement>();
	let timer: ReturnType<typeof setTimeout> | undefined;
	let dragged = 0;

	onDestroy(() => clearTimeout(timer));

	$effect(() => {
		const element = button;
		if (!element || done) return;
		type Dragged = D3DragEvent<HTMLButtonElement, unknown, unknown>;
		const behaviour = drag<HTMLButtonElement, unknown>()
			// Where the card stands is the page's affair; only how far the pointer went counts.
			.container(() => document.body)
			.subject(() => ({ x: 0, y: 0 }))
			.clickDistance(CLICK)
			.on('start', () => {
				dragged = 0;
				choose();
			})
			.on('drag', ({ dx }: Dragged) => {
				dragged += dx;
				show(dateAfter(dragged));
			})
			.on('end', () => void keep());
		select(element).call(behaviour);
		return () => void select(element).on('.drag', null);
	});

	function onkeydown(event: KeyboardEvent): void {
		if (event.key === 'Escape' && timer !== undefined) {
			clearTimeout(timer);
			timer = undefined;
			return drop();
		}
		const step = STEPS[event.key];
		if (step === undefined || done || event.ctrlKey || event.metaKey || event.altKey) return;
		event.preventDefault();
		choose();
		show(format(addDays(parseISO(pass.date), step * (event.shiftKey ? 7 : 1)), 'yyyy-MM-dd'));
		clearTimeout(timer);
		timer = setTimeout(() => void keepByKey(), PAUSE);
	}

	async function keepByKey(): Promise<void> {
		timer = undefined;
		await keep();
		await tick();
		button?.focus();
	}
</script>

<button
	bind:this={button}
	type="button"
	class="card"
	class:selected
	class:done
	class:right={atRight}
	style:transform={`translate(${left}px, ${top}px)`}
	style:width={`${width}px`}
	aria-pressed={selected}
	aria-label={`${pass.label} on ${longDate(pass.date)}${done ? ', applied' : ': arrow keys move it by a day, with Shift by a week'}`}
	title={`${pass.label}, ${longDate(pass.date)}`}
	onclick={choose}
	{onkeydown}
>
	<span class="name"><strong>{pass.label}</strong></span>
	<span class="line"
		>{#if severity}<Severity {severity} />{/if}<span class="small">{shortDate(pass.date)}, {brings}</span></span
	>
</button>

<style>
	.card {
		position: absolute;
		left: 0;
		top: 0;
		height: 44px;
		padding: 2px 8px;
		border: 1px solid var(--rule-strong);
		border-left: 4px solid var(--action);
		background: var(--sheet);
		color: var(--ink);
		text-align: left;
		cursor: grab;
		touch-action: none;
		user-select: none;
		font-size: 0.88rem;
		line-height: 1.3;
		z-index: 1;
		will-change: transform;
	}
	.card:active {
		cursor: grabbing;
	}
	.right {
		border-left: 1px solid var(--rule-strong);
		border-right: 4px solid var(--action);
	}
	.selected {
		border-color: var(--action);
		box-shadow: 0 0 0 1px var(--action);
		background: var(--action-wash);
		z-index: 2;
	}
	.done {
		border-color: var(--rule);
		background: var(--paper-deep);
		color: var(--ink-soft);
		cursor: pointer;
	}
	.name,
	.line {
		display: block;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
		pointer-events: none;
	}
	.line {
		display: flex;
		gap: 0.4rem;
		color: var(--ink-soft);
	}
	.line > .small {
		overflow: hidden;
		text-overflow: ellipsis;
	}
</style>
