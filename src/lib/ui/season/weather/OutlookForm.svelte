<!-- The rain of the next days: an assumed outlook until the adviser gives one. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { addDays, format, parseISO } from 'date-fns';
	import type { RainOutlook, WeatherDay } from '$core/schema-types';
	import { formatNumber } from '$core/units/display';
	import { MM_PER_IN } from '$core/units/factors';
	import { rainIn } from '$core/units/weather-units';
	import type { UnitSystem } from '$core/units/rate-units';
	import { shortDate } from '$core/units/day-text';
	import { numberOrUndefined } from '../../forms/numbers';
	import { save } from '../../forms/call';
	import DayField from '../../forms/days/DayField.svelte';

	interface Props {
		own: boolean;
		days: readonly WeatherDay[];
		units: UnitSystem;
	}
	const { own, days, units }: Props = $props();

	const DAYS = 10;
	const unit = $derived(units === 'us' ? 'in' : 'mm');
	const shown = (mm: number) => formatNumber(rainIn(units, mm), unit);

	let from = $state(untrack(() => days[0]?.date ?? ''));
	let rain = $state(untrack(() => Array.from({ length: DAYS }, (_, at) => shown(days[at]?.rainMm ?? 0))));
	let problem = $state('');
	const isDay = $derived(/^\d{4}-\d\d-\d\d$/.test(from));
	const dayAt = (at: number) => (isDay ? format(addDays(parseISO(from), at), 'yyyy-MM-dd') : '');

	function fill(text: string): void {
		rain = rain.map(() => text);
	}

	async function keep(): Promise<void> {
		if (!isDay) return void (problem = `The first day “${from}” must be written as 2027-05-01.`);
		const read = rain.map((text) => (text.trim() === '' ? 0 : numberOrUndefined(text)));
		const wrong = read.findIndex((value) => value === undefined || value < 0);
		if (wrong >= 0) {
			problem = `The rain “${rain[wrong]}” of ${shortDate(dayAt(wrong))} must be a number of ${unit}, 0 or more.`;
			return;
		}
		const rainMm = (read as number[]).map(
			(value) => Math.round((units === 'us' ? value * MM_PER_IN : value) * 10) / 10
		);
		problem = await send({ from, rainMm });
	}

	async function back(): Promise<void> {
		problem = await send(null);
		from = days[0]?.date ?? from;
		rain = Array.from({ length: DAYS }, (_, at) => shown(days[at]?.rainMm ?? 0));
	}

	function send(outlook: RainOutlook | null): Promise<string> {
		return save('PUT /api/weather/outlook', {}, { outlook });
	}
</script>

<section class="section" aria-label="Outlook">
	<h2>The next ten days</h2>
	<p class="soft">
		{own
			? 'Your own outlook. The season’s rules ask it whether rain washes urea in and how the ground will be.'
			: 'An assumed outlook stands here until you type in what your forecast says. The season’s rules ask it whether rain washes urea in and how the ground will be.'}
	</p>
	<div class="row">
		<div class="from"><DayField label="From" bind:date={from} /></div>
		<Button size="small" kind="ghost" onclick={() => fill('0')}>All dry</Button>
		<Button size="small" kind="ghost" onclick={() => fill(units === 'us' ? '0.3' : '8')}>Rain every day</Button>
	</div>
	<div class="days">
		{#each rain as _, at (at)}
			<TextInput
				size="sm"
				labelText={isDay ? shortDate(dayAt(at)) : `day ${at + 1}`}
				inputmode="decimal"
				bind:value={rain[at]}
			/>
		{/each}
	</div>
	<p class="soft small">Rain of each day, {unit}.</p>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="row">
		<Button size="small" onclick={keep}>Save this outlook</Button>
		{#if own}<Button size="small" kind="ghost" onclick={back}>Back to the assumed outlook</Button>{/if}
	</div>
</section>

<style>
	.from {
		width: 11rem;
	}
	.row {
		align-items: end;
	}
	.days {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(5rem, 1fr));
		gap: 0.6rem;
		margin: 0.8rem 0 0.3rem;
		max-width: 60rem;
	}
</style>
