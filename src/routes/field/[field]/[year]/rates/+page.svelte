<script lang="ts">
	import { Button, Disclosure, MenuButton, MenuItem } from 'carbon-components-svelte';
	import BlockYearForm from '$lib/ui/rates/block/BlockYearForm.svelte';
	import GoalForm from '$lib/ui/rates/GoalForm.svelte';
	import NeedsSample from '$lib/ui/frame/NeedsSample.svelte';
	import NitrogenPanel from '$lib/ui/rates/nitrogen/NitrogenPanel.svelte';
	import LimePanel from '$lib/ui/rates/LimePanel.svelte';
	import RateRow from '$lib/ui/rates/RateRow.svelte';
	import SecondCropPart from '$lib/ui/rates/second-crop/SecondCropPart.svelte';
	import OutlookPanel from '$lib/ui/rates/OutlookPanel.svelte';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import Severity from '$lib/ui/figure/Severity.svelte';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let problem = $state('');
	/** Nutrients without a rate that were asked for all the same. */
	let asked = $state<string[]>([]);

	const isShown = (row: PageData['rows'][number]) =>
		row.always ||
		row.choice !== undefined ||
		asked.includes(row.nutrient) ||
		row.opinions.some(({ answer, none }) => answer.applies && !none);
	const shown = $derived(data.rows.filter(isShown));
	const others = $derived(data.rows.filter((row) => !isShown(row)));
	/** Nutrients that an approach speaks for and nobody decided. */
	const open = $derived(
		shown
			.filter((row) => !row.choice && row.opinions.some(({ answer }) => answer.applies))
			.map(({ name }) => name.toLowerCase())
	);

	const address = $derived({ field: data.goalPage.fieldId, year: data.goalPage.year });

	/** Chosen rates whose approach gives another one now. */
	const moved = $derived(data.rows.filter((row) => row.moved && row.choice?.method));

	async function takeAll(): Promise<void> {
		const simulated = moved.some(({ opinions, choice }) =>
			opinions.some((one) => one.method === choice?.method && one.simulated)
		);
		problem = await save('POST /api/fields/{field}/{year}/choices', address, {
			choices: moved.flatMap(({ nutrient, choice }) =>
				choice?.method ? [{ nutrient, method: choice.method, ...(choice.bothYears ? { bothYears: true } : {}) }] : []
			),
			...(simulated ? { confirmSimulated: true } : {})
		});
	}

	async function chooseGuide(guide: string): Promise<void> {
		const choices = data.rows.flatMap(({ nutrient, opinions }) => {
			const own = opinions.find((opinion) => opinion.guide === guide && opinion.answer.applies && !opinion.simulated);
			return own ? [{ nutrient, method: own.method }] : [];
		});
		problem = await save('POST /api/fields/{field}/{year}/choices', address, { choices });
	}
</script>

<div class="page rates">
	<div class="head">
		<h1>Rates compared</h1>
		<GoalForm page={data.goalPage} />
		{#if data.hasSample && data.goalPage.goal && data.guides.length > 0}
			<MenuButton size="sm" kind="ghost" intrinsicAlign="end" labelText="Follow one guide">
				{#each data.guides as guide (guide)}
					<MenuItem labelText={guide} on:click={() => void chooseGuide(guide)} />
				{/each}
			</MenuButton>
		{/if}
	</div>
	{#if !data.hasSample}
		<NeedsSample />
	{:else if data.goalPage.goal}
		<p class="soft small how">
			Press a mark to choose it, its number to see why. Filled: chosen; diamond: your own; dashed: lacks a value.
			{#if data.tenure}<span class="suits">{data.tenure.why}</span>{/if}
		</p>
		{#if data.follows}
			{@const { title, since, overruled } = data.follows}
			<p class="small how">
				<a href="/programmes">{title}</a>{since ? `; ${since}` : ''}{#if overruled.length > 0}. Overruled:
					{overruled.join('; ')}{/if}.
			</p>
		{/if}
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		{#if moved.length > 1}
			<p class="small how">
				{moved.length} chosen rates were chosen on other inputs.
				<button type="button" class="plain" onclick={() => void takeAll()}>Take what their approaches give now</button>
			</p>
		{/if}
		{#if data.goalPage.perennial}<BlockYearForm year={data.goalPage.perennial} {address} />{/if}
		{#each shown as row (row.nutrient)}
			{@const outlook = data.outlooks.find(({ nutrient }) => nutrient === row.nutrient)}
			{#if outlook}
				<RateRow {row} {address} units={data.units} suits={data.tenure} panelLabel="Six years on">
					{#snippet panel()}<OutlookPanel
							{outlook}
							nextCrop={data.nextCrop}
							second={data.second.both}
							page={data.goalPage}
						/>{/snippet}
				</RateRow>
			{:else if row.nutrient === 'N' && data.nitrogen}
				{@const nitrogen = data.nitrogen}
				<RateRow
					{row}
					{address}
					units={data.units}
					panelLabel="Yield and return"
					walk={`/field/${data.goalPage.fieldId}/${data.goalPage.year}/walk`}
				>
					{#snippet panel()}<NitrogenPanel {nitrogen} page={data.goalPage} units={data.units} />{/snippet}
				</RateRow>
			{:else if row.nutrient === 'lime' && data.lime}
				{@const lime = data.lime}
				<RateRow {row} {address} units={data.units} panelLabel="Lime and pay-back">
					{#snippet panel()}<LimePanel {lime} page={data.goalPage} />{/snippet}
				</RateRow>
			{:else}
				<RateRow {row} {address} units={data.units} />
			{/if}
		{/each}
		<div class="sum">
			<Button size="small" href={`/field/${data.goalPage.fieldId}/${data.goalPage.year}/season`}>
				{data.hasPasses ? 'To the season' : 'Plan the season with these rates'}
			</Button>
			<span>
				{#if data.cost?.applies}Chosen: <strong><Quantity answer={data.cost} /></strong>{:else if data.cost}<span
						class="soft">Chosen, without a sum: {data.cost.reason}</span
					>{:else}<span class="soft">Nothing is chosen yet</span>{/if}{#if open.length > 0}<span class="soft"
						>; open: {open.join(', ')}</span
					>{/if}
			</span>
			{#if others.length > 0}
				<span class="soft">
					Without a rate:
					{#each others as row (row.nutrient)}<button
							type="button"
							class="plain other"
							onclick={() => (asked = [...asked, row.nutrient])}>{row.name.toLowerCase()}</button
						>{/each}
				</span>
			{/if}
		</div>
		{#if data.leafTests.length > 0}
			<section aria-label="From the leaf tests" class="leaf">
				{#each data.leafTests as { title, findings }, at (at)}
					<p class="small">
						<a href={`/field/${data.goalPage.fieldId}/${data.goalPage.year}/reading`}>Leaf test of {title}</a>
					</p>
					{#each findings as { severity, text }, at (at)}<p class="small"><Severity {severity} /> {text}</p>{/each}
				{/each}
			</section>
		{/if}
		{#if !data.goalPage.perennial}
			{#key data.goalPage.fieldId}<SecondCropPart second={data.second} page={data.goalPage} />{/key}
		{/if}
		{#if data.removal}<p class="soft small">{data.removal}</p>{/if}
		{#if data.notForCrop.length > 0}
			<Disclosure align="start" summary={`Not for this crop: ${data.notForCrop.length} guides`}>
				<p class="soft small">{data.notForCrop.join('; ')}.</p>
			</Disclosure>
		{/if}
	{/if}
</div>

<style>
	/* All nutrients are to be seen in one window. */
	.rates {
		padding-top: 0.7rem;
	}
	.head {
		display: flex;
		align-items: center;
		flex-wrap: wrap;
		gap: 0 1.2rem;
	}
	.leaf p {
		margin: 0.2rem 0;
	}
	.head h1 {
		margin: 0;
	}
	/* The goal takes what is left of the line, and a line of its own where it opens into its form. */
	.head :global(p.goal) {
		flex: 1;
		margin: 0;
	}
	.head :global(form) {
		flex: 1 1 100%;
	}
	.how {
		margin: 0 0 0.4rem;
	}
	.suits {
		color: var(--action);
	}
	.sum {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 1.4rem;
		border-top: 1px solid var(--rule);
		padding: 0.35rem 0;
	}
	.other {
		margin-left: 0.6rem;
	}
</style>
