<!-- The season on one time axis: soil and rain, the crop's stages, nitrogen in the ground against what it wants, the passes. -->
<script lang="ts">
	import { quantityIn } from '$core/units/amount-text';
	import { placementName } from '$core/units/placement-name';
	import { passNutrients } from '$core/season/plan/pass/pass-figures';
	import { productOf } from '$core/season/plan/plan-context';
	import type { Pass } from '$core/schema-types';
	import { formatNumber } from '$core/units/display';
	import { inSystem, type UnitSystem } from '$core/units/rate-units';
	import { PLOT } from '../../charts/board/board';
	import { labelsThatFit, lanesOf } from './lanes';
	import type { BoardGround, BoardYear, LiveSeason } from '$core/season/live/live-season';
	import { wholePass } from '$core/season/applied/what-happened';
	import PassCard from './PassCard.svelte';
	import PlotsOfYear from './PlotsOfYear.svelte';
	import { dateAt, MARGIN, monthsOn, xOf } from './time-axis';

	interface Props {
		/** Where the server draws the plots of this year, but for their width. */
		plots: string;
		ground: BoardGround;
		year: BoardYear;
		live: LiveSeason;
		/** As they are kept, and as they are shown while one of them is moved. */
		kept: readonly Pass[];
		shown: readonly Pass[];
		done: ReadonlySet<string>;
		units: UnitSystem;
		selected: string | undefined;
		choose: (id: string) => void;
		show: (pass: Pass, date: string) => void;
		keep: () => Promise<void>;
		drop: () => void;
	}
	const { plots, ground, year, live, kept, shown, done, units, selected, choose, show, keep, drop }: Props = $props();

	const LANE = 50;
	/** Room for the stages alone, where no nitrogen is drawn, pixels. */
	const NO_NITROGEN = 20;
	/** Where the plot of nitrogen begins, and the lanes of passes under it, pixels from the top. */
	const NITROGEN_FROM = PLOT.weatherHeight + PLOT.nitrogen.top;
	const plotHeight = $derived(live.run ? PLOT.nitrogen.height : NO_NITROGEN);
	const monthsAt = $derived(NITROGEN_FROM + plotHeight + 8);
	const lanesFrom = $derived(monthsAt + 26);
	const CARD = 174;
	const LETTER = 6.6;

	let width = $state(900);
	const plotRight = $derived(width - MARGIN.right);
	const x = (date: string) => xOf(year.axis, date, width);

	const unit = $derived(live.run?.unit ?? (units === 'us' ? 'lb/ac' : 'kg/ha'));

	const stages = $derived(
		year.stages
			.map(({ name, date, main }) => ({ name: name.replace(/ \(.*/, ''), main, x: x(date) }))
			.map((stage) => ({ ...stage, width: stage.name.length * LETTER }))
			.filter((stage) => stage.x > MARGIN.left && stage.x < plotRight)
	);
	const planting = $derived({ name: 'sown', main: true, x: x(ground.context.plantingDate), width: 5 * LETTER });
	const marks = $derived(ground.context.crop.perennial ? stages : [planting, ...stages]);
	const labels = $derived(labelsThatFit(marks));
	const months = $derived(
		labelsThatFit(monthsOn(year.axis).map(({ date, name }) => ({ name, x: x(date), width: 24 })))
	);
	const best = $derived.by(() => {
		const meant = ground.context.stages?.window;
		const on = (name: string | undefined) => year.stages.find((stage) => stage.name === name)?.date;
		const [from, to] = [on(meant?.from), on(meant?.to)];
		return meant && from && to ? { label: meant.label, left: x(from), width: x(to) - x(from) } : undefined;
	});

	const cardWidth = $derived(Math.min(CARD, width / 2.4));
	const atRight = (left: number) => left + cardWidth > width;
	/** Lanes are those of the kept plan: a card that is moved keeps to its own. */
	const lanes = $derived(
		lanesOf(
			kept.map(({ date }) => {
				const at = x(date);
				return atRight(at) ? { left: at - cardWidth, right: at } : { left: at, right: at + cardWidth };
			})
		)
	);
	const height = $derived(lanesFrom + (Math.max(-1, ...lanes) + 1) * LANE + 4);
	const severityOf = (id: string) => live.checks.find(({ pass }) => pass === id)?.severity;

	function brings(pass: Pass): string {
		const carried = passNutrients(wholePass(pass), productOf(pass, ground.context.products)).map(
			({ nutrient, pounds }) => {
				const amount = inSystem(pounds, units);
				return `${amount.applies ? formatNumber(Math.round(amount.value), amount.unit) : ''} ${nutrient}`;
			}
		);
		const what = carried.join(' ') || (pass.unit === 'short ton/ac' ? 'lime' : placementName(pass.placement));
		return pass.share === undefined ? what : `${what} on ${formatNumber(100 * pass.share, '%')} %`;
	}

	/** Whoever reaches for the board may move a pass next. */
	const loadCharts = () => void import('../../charts/on-canvas');

	const label = $derived.by(() => {
		const { takenUp = 0, wanted = 0, shortDays = 0 } = live.run?.balance ?? {};
		const whole = (value: number) => formatNumber(Math.round(value), unit);
		return `Soil mineral N against crop N demand, day by day in a ${ground.kind} simulated year: ${whole(takenUp)} of ${whole(wanted)} ${unit} taken up, ${shortDays} days short.`;
	});
</script>

<div class="legend small soft" aria-hidden="true">
	<span><i class="warm"></i>soil at {quantityIn(units, 4, 'in')}</span>
	<span><i class="rain"></i>rain</span>
	{#if live.run}
		<span><i class="ground"></i>soil mineral N</span>
		<span><i class="wanted"></i>crop N demand</span>
		<span><i class="taken"></i>N uptake</span>
	{/if}
</div>
<div
	class="board"
	role="group"
	aria-label="The season's plots and passes"
	bind:clientWidth={width}
	style:height={`${height}px`}
	onpointerenter={loadCharts}
	onfocusin={loadCharts}
>
	{#if best}
		<div
			class="window"
			style:left={`${best.left}px`}
			style:width={`${best.width}px`}
			style:top={`${NITROGEN_FROM}px`}
			style:height={`${plotHeight}px`}
		>
			<span>{best.label}</span>
		</div>
	{/if}
	{#each marks.filter(({ main }) => main) as stage, at (at)}
		<div
			class="stage"
			style:left={`${stage.x}px`}
			style:top={`${NITROGEN_FROM}px`}
			style:height={`${plotHeight}px`}
		></div>
	{/each}
	{#each labels as stage, at (at)}
		<span class="name" class:main={stage.main} style:left={`${stage.x}px`} style:top={`${NITROGEN_FROM - 22}px`}
			>{stage.name}</span
		>
	{/each}
	{#each months as month (month.x)}
		<span class="month small" style:left={`${month.x}px`} style:top={`${monthsAt}px`}>{month.name}</span>
	{/each}
	{#key plots}
		<PlotsOfYear address={plots} {year} run={live.run} {units} {label} />
	{/key}
	{#each shown as pass, at (pass.id)}
		{@const day = x(pass.date)}
		{@const right = atRight(day)}
		<div
			class="day"
			class:selected={pass.id === selected}
			style:transform={`translateX(${day}px)`}
			style:top={`${NITROGEN_FROM}px`}
			style:height={`${lanesFrom + lanes[at]! * LANE - NITROGEN_FROM}px`}
		></div>
		<PassCard
			{pass}
			brings={brings(pass)}
			severity={severityOf(pass.id)}
			selected={pass.id === selected}
			done={done.has(pass.id)}
			left={right ? day - cardWidth : day}
			top={lanesFrom + lanes[at]! * LANE}
			width={cardWidth}
			atRight={right}
			dateAfter={(pixels) => dateAt(year.axis, x(kept[at]!.date) + pixels, width)}
			choose={() => choose(pass.id)}
			show={(date) => show(pass, date)}
			{keep}
			{drop}
		/>
	{/each}
</div>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 0.1rem 1.1rem;
	}
	.legend i {
		display: inline-block;
		width: 1.3rem;
		border-top: 3px solid var(--ink);
		margin-right: 0.4rem;
		vertical-align: middle;
	}
	.legend .warm {
		border-color: var(--accent);
	}
	.legend .rain {
		border-top-width: 9px;
		width: 0.35rem;
		border-color: #9db3c1;
	}
	.legend .ground {
		border-color: var(--nutrient-n);
	}
	.legend .wanted {
		border-top-width: 9px;
		border-color: #dde6df;
	}
	.legend .taken {
		border-color: var(--action);
	}
	.board {
		position: relative;
		overflow: hidden;
		/* What moves inside must not lay out or paint the page again. */
		contain: layout paint;
	}
	.window,
	.stage,
	.day,
	.name,
	.month {
		position: absolute;
	}
	.window {
		background: var(--accent-wash);
		opacity: 0.75;
	}
	.window span {
		position: absolute;
		top: 2px;
		left: 4px;
		font-size: 0.78rem;
		color: var(--accent-ink);
		white-space: nowrap;
	}
	.stage {
		border-left: 1px solid var(--rule);
	}
	.name {
		transform: translateX(-50%);
		font-size: 0.8rem;
		color: var(--ink-soft);
		white-space: nowrap;
	}
	.name.main {
		color: var(--ink);
		font-weight: 650;
	}
	.month {
		color: var(--ink-soft);
		padding-left: 2px;
		border-left: 1px solid var(--rule-strong);
		line-height: 1.1;
	}
	.day {
		will-change: transform;
		z-index: 0;
		left: 0;
		border-left: 1px dashed var(--action);
		pointer-events: none;
	}
	.day.selected {
		border-left: 2px solid var(--action);
	}
</style>
