<!-- Every approach's rate for one nutrient as a mark on one scale, to choose from. -->
<script lang="ts">
	import { formatNumber, formatQuantity } from '$core/units/display';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { nutrientColor } from '../../figure/nutrient-color';
	import Quantity from '../../figure/Quantity.svelte';
	import { lackingIn } from '../lacking';
	import { placeLabels, spreadMarks } from './place-labels';
	import { ticksOver } from './scale';

	type Row = RatesPage['rows'][number];

	interface Props {
		row: Row;
		choose: (opinion: Row['opinions'][number]) => void;
		/** Opens the row, for what cannot be chosen here. */
		open: () => void;
	}
	const { row, choose, open }: Props = $props();

	/** Px at both ends: for marks that stand side by side, and for the ends of the scale. */
	const PAD = 30;
	const END = 52;
	const MARK = 17;
	const LANE = 17;
	/** Px a letter takes at most: labels are placed before their widths are known, on the server. */
	const LETTER = 7.2;

	const giving = $derived(
		row.opinions
			.flatMap((opinion) => (opinion.answer.applies ? [{ opinion, answer: opinion.answer }] : []))
			.sort((a, b) => a.answer.value - b.answer.value)
	);
	/** A rate apart from the approaches: the adviser's own, or one that was chosen before its approach moved. */
	const apart = $derived(row.own ?? (row.moved && row.chosen));
	const own = $derived(apart?.applies ? apart : undefined);
	const lacking = $derived(lackingIn(row));

	const marks = $derived(
		[
			...giving.map(({ opinion, answer }) => ({ key: opinion.method, name: opinion.name, opinion, answer })),
			...(own ? [{ key: 'own', name: row.own ? 'Own rate' : 'Chosen before', opinion: undefined, answer: own }] : [])
		].sort((a, b) => a.answer.value - b.answer.value)
	);
	const ticks = $derived(ticksOver(Math.max(0, ...marks.map(({ answer }) => answer.value))));
	let width = $state(740);
	let widths = $state<Record<string, number>>({});

	const across = $derived(Math.max(60, width - PAD - END - lacking.length * MARK));
	const xOf = (value: number) => PAD + (value / ticks[ticks.length - 1]!) * across;
	const xs = $derived(
		spreadMarks(
			marks.map(({ answer }) => xOf(answer.value)),
			MARK
		)
	);
	const textOf = ({ name, answer, opinion }: (typeof marks)[number]) =>
		`${opinion?.approximate ? '≈ ' : ''}${formatNumber(answer.value, answer.unit)} ${name}${opinion?.simulated ? ', simulated' : ''}`;
	const places = $derived(
		placeLabels(
			marks.map((mark, at) => ({ x: xs[at]!, width: widths[mark.key] ?? textOf(mark).length * LETTER })),
			width
		)
	);
	/** Top of the line: under the upper labels, where there are any. */
	const line = $derived(places ? LANE + 11 : 11);
	const height = $derived(line + 10 + LANE * Math.max(0, ...(places ?? []).map(({ lane }) => lane)));
	const isChosen = ({ key, opinion }: (typeof marks)[number]) =>
		opinion ? !row.moved && row.choice?.method === opinion.method : key === 'own';
	/** The mark that Tab comes to: the chosen one, else the first. */
	const stop = $derived(Math.max(0, marks.findIndex(isChosen)));

	function press(mark: (typeof marks)[number]): void {
		if (!mark.opinion || mark.opinion.stands === 'for this dressing') open();
		else if (!isChosen(mark)) choose(mark.opinion);
	}

	/** Arrows go from mark to mark; only Enter or Space chooses, since a choice is kept at once. */
	function move(event: KeyboardEvent): void {
		const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
		if (by === undefined || !(event.currentTarget instanceof HTMLElement)) return;
		event.preventDefault();
		const all = [...event.currentTarget.querySelectorAll<HTMLElement>('[role=radio]')];
		const at = all.findIndex((one) => one === document.activeElement);
		all[(at + by + all.length) % all.length]?.focus();
	}
</script>

<div class="strip" style:--mark={nutrientColor(row.nutrient)} bind:clientWidth={width}>
	{#if marks.length > 0}
		<div class="scale" style:height={`${height}px`}>
			<div class="axis" style:left={`${PAD}px`} style:width={`${across}px`} style:top={`${line}px`}></div>
			{#each ticks as tick (tick)}
				<span class="tick" style:left={`${xOf(tick)}px`} style:top={`${line - 3}px`}></span>
			{/each}
			{#if xs[0]! > PAD - 5}<span class="end" style:left="0" style:top={`${line - 7}px`}>0</span>{/if}
			<span
				class="end"
				style:left={`${Math.max(PAD + across + 10, xs[xs.length - 1]! + 12)}px`}
				style:top={`${line - 7}px`}>{ticks[ticks.length - 1]}</span
			>
			{#if giving.length > 1}
				{@const from = xOf(giving[0]!.answer.value)}
				<div
					class="span"
					style:left={`${from}px`}
					style:width={`${xOf(giving[giving.length - 1]!.answer.value) - from}px`}
					style:top={`${line - 3}px`}
				></div>
			{/if}
			<div role="radiogroup" tabindex="-1" aria-label={`${row.name}, rates compared`} onkeydown={move}>
				{#each marks as mark, at (mark.key)}
					<button
						type="button"
						role="radio"
						class="mark"
						class:own={!mark.opinion}
						class:chosen={isChosen(mark)}
						aria-checked={isChosen(mark)}
						aria-label={`${mark.name}${mark.opinion ? `, ${mark.opinion.guide}` : ''}: ${formatQuantity(mark.answer.value, mark.answer.unit)}`}
						title={mark.opinion?.none ?? `${mark.name}: choose`}
						tabindex={at === stop ? 0 : -1}
						style:left={`${xs[at]}px`}
						style:top={`${line}px`}
						onclick={() => press(mark)}
					></button>
				{/each}
			</div>
			{#each lacking as { method, name, guide, answer }, at (method)}
				{@const lacks = answer.applies ? '' : (answer.lacks ?? answer.reason)}
				<button
					type="button"
					class="mark lacking"
					aria-label={`${name}, ${guide}, gives no rate: ${lacks}`}
					title={`${name}, ${guide}: ${lacks}`}
					tabindex="-1"
					style:left={`${PAD + across + END + at * MARK}px`}
					style:top={`${line}px`}
					onclick={open}
				></button>
			{/each}
		</div>
		<div class={places ? 'labels' : 'list'}>
			{#each marks as mark, at (mark.key)}
				{@const place = places?.[at]}
				<span
					class="label"
					class:strong={isChosen(mark)}
					style:left={place && `${place.left}px`}
					style:top={place && `${place.lane === 0 ? 0 : line + 9 + (place.lane - 1) * LANE}px`}
					bind:offsetWidth={widths[mark.key]}
				>
					{#if mark.opinion?.approximate}≈{/if}
					<Quantity
						answer={mark.answer}
						bare
						label={`${row.name} by ${mark.opinion ? `${mark.opinion.guide}: ${mark.opinion.title}` : 'own judgement'}`}
					/>
					<span class="who">{mark.name}</span>
					{#if mark.opinion?.simulated}<span class="mark-about">simulated</span>{/if}
				</span>
			{/each}
		</div>
	{:else}
		<p class="soft small nothing">{row.instead ?? 'No rate here.'}</p>
	{/if}
</div>

<style>
	.strip {
		position: relative;
		min-width: 0;
	}
	.scale {
		position: relative;
	}
	.scale > *,
	.mark {
		position: absolute;
	}
	.axis {
		height: 1px;
		background: var(--rule-strong);
	}
	.tick {
		width: 1px;
		height: 7px;
		background: var(--rule-strong);
	}
	.end {
		font-size: 0.7rem;
		line-height: 14px;
		color: var(--ink-soft);
	}
	.span {
		height: 7px;
		background: var(--mark);
		opacity: 0.25;
	}
	[role='radiogroup'] {
		inset: 0;
	}
	.mark {
		width: 16px;
		height: 16px;
		margin: -8px 0 0 -8px;
		padding: 0;
		border: 2.5px solid var(--mark);
		border-radius: 50%;
		background: var(--sheet);
		cursor: pointer;
	}
	.mark:hover {
		box-shadow: 0 0 0 3px var(--accent-wash);
	}
	.mark.chosen {
		background: var(--mark);
	}
	.mark.own {
		border-radius: 2px;
		transform: rotate(45deg) scale(0.85);
	}
	.mark.lacking {
		border: 2px dashed var(--rule-strong);
		background: transparent;
		width: 14px;
		height: 14px;
		margin: -7px 0 0 -7px;
	}
	.labels .label {
		position: absolute;
	}
	.label {
		white-space: nowrap;
		font-size: 0.8rem;
		line-height: 17px;
	}
	.label :global(.quantity) {
		font-weight: 650;
	}
	.mark-about {
		color: var(--accent-ink);
	}
	.label.strong .who {
		font-weight: 650;
	}
	.list {
		display: flex;
		flex-wrap: wrap;
		gap: 0 1rem;
	}
	.nothing {
		margin: 0.6rem 0;
	}
</style>
