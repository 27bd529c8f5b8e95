<!-- A critical value of a leaf test from sites becomes the lower end of a range of the adviser's own. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import type { CalibrateRequest, CalibrationFit, LeafElement, LeafRanges } from '$core/schema-types';
	import { calibratedRanges } from '$core/trials/calibration/calibrated-ranges';
	import { MODEL_TITLES } from '$core/trials/calibration/model-titles';
	import { leafUnit } from '$core/units/leaf-units';
	import { save } from '../forms/call';

	interface Props {
		element: LeafElement;
		/** With a critical value. */
		fits: readonly CalibrationFit[];
		sites: CalibrateRequest['observations'];
		/** Ranges that stand, which one starts from. */
		ranges: readonly { name: string; ranges: LeafRanges }[];
	}
	const { element, fits, sites, ranges }: Props = $props();

	let from = $state('');
	let model = $state('');
	let problem = $state('');
	let notice = $state('');
	const chosen = $derived(ranges.find(({ name }) => name === from) ?? ranges[0]!);
	const fit = $derived(fits.find((one) => one.model === model) ?? fits[0]!);
	const text = (value: number) => `${value.toPrecision(3)} ${leafUnit(element)}`;
	const now = $derived(chosen.ranges.ranges[element]);

	async function make(): Promise<void> {
		notice = '';
		const made = calibratedRanges(chosen.ranges, element, fit, fit.critical!, sites);
		problem = await save('POST /api/leaf-ranges', {}, made);
		if (!problem) notice = `Saved. Leaf tests of ${chosen.name} are read against it now.`;
	}
</script>

<section class="section" aria-label="A leaf range of your own">
	<h2>A leaf range of your own</h2>
	<p class="soft">
		The critical value becomes the lower end of {element}; all else stays as it is in the ranges you start from.
	</p>
	<div class="fields">
		<Select
			size="sm"
			labelText="Ranges to start from"
			selected={chosen.name}
			on:update={({ detail }) => (from = String(detail))}
		>
			{#each ranges as { name }, at (at)}<SelectItem value={name} text={name} />{/each}
		</Select>
		<Select
			size="sm"
			labelText="Critical value by"
			selected={fit.model}
			on:update={({ detail }) => (model = String(detail))}
		>
			{#each fits as one (one.model)}
				<SelectItem value={one.model} text={`${MODEL_TITLES[one.model]}: ${text(one.critical!)}`} />
			{/each}
		</Select>
	</div>
	<p class="small">
		{#if now}{element} there is {now.high === undefined
				? `${text(now.low)} or more`
				: `${text(now.low)} to ${text(now.high)}`} now.{:else}{element} has no range there yet.{/if}
	</p>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div class="row"><Button size="small" onclick={() => void make()}>Make it a leaf range</Button></div>
	{#if notice}<p role="status">{notice} <a href="/leaf-ranges">See the ranges</a></p>{/if}
</section>

<style>
	.fields {
		grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr));
		max-width: 52rem;
	}
</style>
