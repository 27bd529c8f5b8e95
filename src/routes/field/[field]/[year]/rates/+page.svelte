<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import GoalForm from '$lib/ui/rates/GoalForm.svelte';
	import NeedsSample from '$lib/ui/frame/NeedsSample.svelte';
	import NitrogenPanel from '$lib/ui/rates/nitrogen/NitrogenPanel.svelte';
	import LimePanel from '$lib/ui/rates/LimePanel.svelte';
	import OpinionRow from '$lib/ui/rates/OpinionRow.svelte';
	import OutlookPanel from '$lib/ui/rates/OutlookPanel.svelte';
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

	const address = $derived({ field: data.goalPage.fieldId, year: data.goalPage.year });

	async function chooseGuide(guide: string): Promise<void> {
		const choices = data.rows.flatMap(({ nutrient, opinions }) => {
			const own = opinions.find((opinion) => opinion.guide === guide && opinion.answer.applies && !opinion.simulated);
			return own ? [{ nutrient, method: own.method }] : [];
		});
		problem = await save('POST /api/fields/{field}/{year}/choices', address, { choices });
	}
</script>

<div class="page">
	<h1>Second opinions</h1>
	<GoalForm page={data.goalPage} />
	{#if !data.hasSample}
		<NeedsSample />
	{:else if data.goalPage.goal}
		<p class="soft">
			What each school would put on this ground this year. Choose one, or write your own and say why. Any underlined
			number opens its worksheet.
		</p>
		{#if data.guides.length > 0}
			<div class="row guides">
				<span class="soft">Take one guide for all it covers:</span>
				{#each data.guides as guide (guide)}
					<Button size="small" kind="ghost" onclick={() => chooseGuide(guide)}>{guide}</Button>
				{/each}
			</div>
		{/if}
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		{#if data.removal}<p class="soft small">{data.removal}</p>{/if}
		{#each shown as row (row.nutrient)}
			{@const outlook = data.outlooks.find(({ nutrient }) => nutrient === row.nutrient)}
			{#if outlook}
				<OpinionRow {row} {address} units={data.units} suits={data.tenure} panelLabel="Six years on">
					{#snippet panel()}<OutlookPanel {outlook} nextCrop={data.nextCrop} page={data.goalPage} />{/snippet}
				</OpinionRow>
			{:else if row.nutrient === 'N' && data.nitrogen}
				{@const nitrogen = data.nitrogen}
				<OpinionRow
					{row}
					{address}
					units={data.units}
					panelLabel="Yield and return"
					walk={`/field/${data.goalPage.fieldId}/${data.goalPage.year}/walk`}
				>
					{#snippet panel()}<NitrogenPanel {nitrogen} page={data.goalPage} units={data.units} />{/snippet}
				</OpinionRow>
			{:else if row.nutrient === 'lime' && data.lime}
				{@const lime = data.lime}
				<OpinionRow {row} {address} units={data.units} panelLabel="Lime and pay-back">
					{#snippet panel()}<LimePanel {lime} page={data.goalPage} />{/snippet}
				</OpinionRow>
			{:else}
				<OpinionRow {row} {address} units={data.units} />
			{/if}
		{/each}
		{#if others.length > 0}
			<p class="soft others">
				Without a rate here:
				{#each others as row (row.nutrient)}<button
						type="button"
						class="plain"
						onclick={() => (asked = [...asked, row.nutrient])}>{row.name.toLowerCase()}</button
					>{/each}
			</p>
		{/if}
		<p class="next">
			<Button size="small" href={`/field/${data.goalPage.fieldId}/${data.goalPage.year}/season`}>
				{data.hasPasses ? 'To the season' : 'Plan the season with these rates'}
			</Button>
		</p>
	{/if}
</div>

<style>
	.guides {
		align-items: center;
		gap: 0.25rem;
		margin-bottom: 0.4rem;
	}
	.others {
		border-top: 1px solid var(--rule);
		padding-top: 0.7rem;
	}
	.others button {
		margin-left: 0.7rem;
	}
	.problem {
		color: var(--stop);
	}
	.next {
		margin-top: 1.5rem;
	}
</style>
