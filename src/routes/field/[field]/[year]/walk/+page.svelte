<script lang="ts">
	import { amountsIn } from '$core/units/amount-text';
	import Mark from '$lib/ui/figure/Mark.svelte';
	import type { CropTestAction } from '$core/schema-types';
	import { Button, Disclosure } from 'carbon-components-svelte';
	import NeedsSample from '$lib/ui/frame/NeedsSample.svelte';
	import NitrateForm from '$lib/ui/walk/NitrateForm.svelte';
	import SpreadPart from '$lib/ui/walk/SpreadPart.svelte';
	import StripsForm from '$lib/ui/walk/StripsForm.svelte';
	import TestResult from '$lib/ui/walk/TestResult.svelte';
	import TillerForm from '$lib/ui/walk/TillerForm.svelte';
	import { call, remove, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let problem = $state('');
	let notes = $state<string[]>([]);
	/** What was put into the season, so that the way there can be shown. */
	let taken = $state('');

	const HEADS = {
		tillers: {
			name: 'Tiller count',
			how: 'Stems with three or more leaves in {12 in} of row, at several typical spots, late January to early February.'
		},
		nitrate: {
			name: 'Pre-sidedress nitrate test',
			how: 'Soil from {0 to 12 in} when the corn is {6 to 12 in} tall, away from fresh bands.'
		},
		strips: {
			name: 'N-rich and zero-N strips',
			how: 'In each zone a strip without nitrogen and one with plenty: their yields, or how they look to the sensor.'
		}
	} as const;

	const address = $derived({ field: data.fieldId, year: data.year });
	const book = async (test: CropTestAction) =>
		(problem = await save('POST /api/fields/{field}/{year}/crop-tests', address, test)) === '';

	async function use(test: string, name: string): Promise<void> {
		const { answer, problem: failed } = await call(
			'POST /api/fields/{field}/{year}/crop-tests/{test}/use',
			{ ...address, test },
			{}
		);
		problem = failed ?? '';
		notes = answer?.notes ?? [];
		taken = failed ? '' : name;
	}

	async function removeTest(test: string): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/{year}/crop-tests/{test}', { ...address, test });
	}
</script>

<div class="page walk">
	<h1>Tests in the crop</h1>
	{#if !data.hasSample}
		<NeedsSample />
	{:else if !data.walk}
		<div class="empty">
			<h2>No crop and goal for {data.year} yet</h2>
			<Button size="small" href={`/field/${data.fieldId}/${data.year}/rates`}>Set the goal under Rates</Button>
		</div>
	{:else if data.walk.spreadChecks}
		<SpreadPart checks={data.walk.spreadChecks} today={data.today} {address} />
	{:else if data.walk.kinds.length === 0}
		<p>No guide in use goes by a test in standing {data.walk.cropName.toLowerCase()}.</p>
	{:else}
		{@const walk = data.walk}
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		{#if taken}
			<p class="taken" role="status">
				{taken} is in the season now. <a href={`/field/${data.fieldId}/${data.year}/season`}>See the passes</a>
			</p>
		{/if}
		{#each notes as note, at (at)}<p class="note" role="status"><Mark /> {note}</p>{/each}
		{#each walk.kinds as { kind, tests, guide, result } (kind)}
			{@const { name, how } = HEADS[kind]}
			<section aria-label={name}>
				<h2>{name} <span class="soft">{guide}</span></h2>
				{#if result && tests[0]}
					{@const newest = tests[0]}
					<TestResult
						test={newest}
						units={data.units}
						{result}
						others={tests.slice(1)}
						use={() => use(newest.id, name)}
						remove={(id) => removeTest(id)}
					/>
				{/if}
				<Disclosure
					align="start"
					open={tests.length === 0}
					summary={tests.length === 0 ? 'Record one' : 'Record another'}
				>
					<p class="soft small">{amountsIn(data.units, how)}</p>
					{#if kind === 'tillers'}
						<TillerForm today={data.today} units={data.units} rowSpacingIn={walk.rowSpacingIn} {book} />
					{:else if kind === 'nitrate'}
						<NitrateForm today={data.today} units={data.units} {book} />
					{:else}
						<StripsForm today={data.today} yieldUnit={walk.yieldUnit} units={data.units} {book} />
					{/if}
				</Disclosure>
			</section>
		{/each}
	{/if}
	<p class="section"><a href={`/field/${data.fieldId}/${data.year}/book`}>To the book of {data.year}</a></p>
</div>

<style>
	.walk {
		max-width: 52rem;
	}
	section {
		border-top: 1px solid var(--rule);
		padding: 0.9rem 0 1.2rem;
	}
	h2 .soft {
		font-weight: 400;
		font-size: 0.85rem;
	}
	.taken {
		border-left: 3px solid var(--action);
		padding-left: 0.7rem;
	}
	.note {
		color: var(--accent-ink);
	}
	.walk :global(.bx--text-input),
	.walk :global(.bx--date-picker__input),
	.walk :global(.bx--select-input) {
		min-height: 2.75rem;
		font-size: 1.05rem;
	}
	.walk :global(form .bx--btn) {
		min-height: 2.75rem;
	}
</style>
