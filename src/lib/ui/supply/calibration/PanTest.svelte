<!-- A pan test: what each pan caught, the spread at every swath width, and the widest that is still even. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { bestSwath, GOOD_CV_PERCENT, swathResults, type Driving } from '$core/supply/calibration/spread-pattern';
	import { formatNumber } from '$core/units/display';
	import { lengthText } from '$core/units/length-text';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { untrack } from 'svelte';
	import { numberOrUndefined } from '../../forms/numbers';
	import { keptAmount } from '../../forms/typed-amount';

	const { units }: { units: UnitSystem } = $props();
	let caught = $state('2, 5, 11, 18, 24, 26, 25, 19, 10, 5, 2');
	let spacing = $state(untrack(() => (units === 'us' ? '5' : '1.5')));
	let area = $state(untrack(() => (units === 'us' ? '1.5' : '0.15')));
	let driving = $state<string>('around');
	const DRIVING: Driving[] = ['around', 'up and down'];

	const grams = $derived(
		caught
			.split(/[,;\s]+/)
			.filter(Boolean)
			.map((text) => numberOrUndefined(text))
	);
	const [length, ground, rate] = $derived(['ft', 'ft2', 'lb/ac'].map((unit) => unitInSystem(unit, units)));
	const spacingFt = $derived(keptAmount(spacing, undefined, 'ft', units));
	const panFt2 = $derived(keptAmount(area, undefined, 'ft2', units));
	const rateText = (lbAc: number) => formatNumber(Math.round(valueInSystem(lbAc, 'lb/ac', units)), 'lb/ac');
	const wrong = $derived(
		grams.some((value) => value === undefined || value < 0)
			? `A pan holds “${caught.split(/[,;\s]+/).filter(Boolean)[grams.findIndex((value) => value === undefined || value < 0)]}”; it must be grams, 0 or more.`
			: grams.length < 5 || grams.length % 2 === 0
				? `${grams.length} pans; an odd number from 5 on is wanted, the middle one behind the spreader.`
				: !spacingFt || spacingFt <= 0
					? `The spacing “${spacing}” must be a number of ${length} above 0.`
					: !panFt2 || panFt2 <= 0
						? `The area of a pan “${area}” must be a number of ${ground} above 0.`
						: ''
	);
	const results = $derived(wrong ? [] : swathResults(grams as number[], panFt2!, spacingFt!, driving as Driving));
	const best = $derived(bestSwath(results));
	const shown = $derived(results.slice(1, -1));
</script>

<section aria-label="Pan test">
	<h2>Pan test of a spreader</h2>
	<p class="soft small">
		Pans across the swath, evenly spaced, the middle one behind the spreader; drive over them as in the field.
	</p>
	<TextInput size="sm" labelText="Caught in each pan from left to right, g" bind:value={caught} />
	<div class="fields">
		<TextInput size="sm" labelText={`Between pans, ${length}`} inputmode="decimal" bind:value={spacing} />
		<TextInput size="sm" labelText={`Area of a pan, ${ground}`} inputmode="decimal" bind:value={area} />
		<Select size="sm" labelText="The field is driven" bind:selected={driving}>
			{#each DRIVING as way (way)}<SelectItem value={way} text={way} />{/each}
		</Select>
	</div>
	{#if wrong}
		<p class="problem" role="alert">{wrong}</p>
	{:else if results.length === 0}
		<p class="problem" role="alert">The pans caught nothing.</p>
	{:else}
		<p class="result" role="status">
			{#if best}Drive <strong>{lengthText(best.swathFt, units)}</strong> apart: {rateText(best.rate)}
				{rate}, coefficient of variation {formatNumber(Math.round(best.cvPercent), '%')} %.{:else}No swath width spreads
				evenly: the pattern itself is poor. Set the spreader and test again.{/if}
		</p>
		<table class="ledger">
			<thead
				><tr
					><th class="num">Swath, {length}</th><th class="num">{rate}</th><th class="num">Variation, %</th><th></th></tr
				></thead
			>
			<tbody>
				{#each shown as { swathFt, rate: spread, cvPercent } (swathFt)}
					<tr class:best={swathFt === best?.swathFt}>
						<td class="num">{formatNumber(Math.round(10 * valueInSystem(swathFt, 'ft', units)) / 10, 'length')}</td>
						<td class="num">{rateText(spread)}</td>
						<td class="num">{formatNumber(Math.round(cvPercent), '%')}</td>
						<td>{cvPercent <= GOOD_CV_PERCENT ? 'even' : 'streaks'}</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="soft small">Even up to {GOOD_CV_PERCENT} %. The passes are laid over each other at each width.</p>
	{/if}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(8rem, 1fr));
		gap: 0.6rem 1rem;
		margin: 0.6rem 0;
	}
	.result {
		font-size: 1.05rem;
	}
	.best td {
		background: var(--action-wash);
	}
</style>
