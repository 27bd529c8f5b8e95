<script lang="ts">
	import Mark from '$lib/ui/figure/Mark.svelte';
	import { Button, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { longDate } from '$core/units/day-text';
	import { PRESCRIPTION_FILES } from '$lib/ui/ground/zones/prescription-files';
	import NeedsSample from '$lib/ui/frame/NeedsSample.svelte';
	import { invalidateAll } from '$app/navigation';
	import SheetView from '$lib/ui/sheet/SheetView.svelte';
	import { call, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let preparedBy = $state(untrack(() => data.preparedBy));
	let problem = $state('');
	/** What is to be told where nothing had to be issued. */
	let notice = $state('');
	let busy = $state(false);

	const ready = $derived((data.draft?.passes.length ?? 0) > 0);
	/** Why the sheet is issued over each stop, by its words. */
	let reasons = $state<Record<string, string>>({});
	const unanswered = $derived(data.objections.some((stop) => (reasons[stop] ?? '').trim().length < 3));

	async function issue(): Promise<void> {
		if (busy) return;
		busy = true;
		[problem, notice] = ['', ''];
		await issueWhatIsShown();
		busy = false;
	}

	async function issueWhatIsShown(): Promise<void> {
		const seen = data.mark;
		if (preparedBy.trim() !== data.preparedBy) {
			problem = await save('PATCH /api/settings', {}, { preparedBy });
			if (problem) return;
		}
		const { answer, problem: failed } = await call(
			'POST /api/fields/{field}/{year}/sheets',
			{ field: data.fieldId, year: data.year },
			{
				seen,
				...(data.objections.length > 0
					? { reasons: data.objections.map((stop) => ({ stop, reason: (reasons[stop] ?? '').trim() })) }
					: {})
			}
		);
		if (answer?.again) notice = `No. ${answer.number} says the same: nothing was changed since it was issued.`;
		problem = failed ?? '';
		// What is shown may be old: the draft is read anew, and looked at before it is issued.
		if (failed) await invalidateAll();
	}
</script>

<div class="page">
	<h1>The grower’s sheet</h1>
	{#if !data.hasSample}
		<NeedsSample />
	{:else if !data.draft || !ready}
		<div class="empty">
			<h2>Nothing to hand over yet</h2>
			<p>A sheet needs passes. {data.openChoices ? 'Choose rates, then plan the season.' : 'Plan the season first.'}</p>
			<Button size="small" href={`/field/${data.fieldId}/${data.year}/${data.openChoices ? 'rates' : 'season'}`}>
				{data.openChoices ? 'To the rates' : 'To the season'}
			</Button>
		</div>
	{:else}
		<div class="no-print">
			<div class="row issue">
				<div class="who"><TextInput size="sm" labelText="Prepared by" bind:value={preparedBy} /></div>
				<Button size="small" disabled={busy || preparedBy.trim() === '' || unanswered} onclick={issue}>
					{data.sheets.length > 0 ? 'Issue a new sheet' : 'Issue the sheet'}
				</Button>
			</div>
			{#if data.objections.length > 0}
				<section class="stops" aria-label="Stops">
					<p class="stop">
						<Mark severity="stop" />
						{data.objections.length === 1 ? 'One stop or past day' : `${data.objections.length} stops or past days`}.
						Say why the sheet is issued all the same; the reason is printed with it.
					</p>
					{#each data.objections as stop (stop)}
						<div>
							<p class="small">{stop}</p>
							<TextInput
								size="sm"
								labelText="Because"
								value={reasons[stop] ?? ''}
								on:input={({ detail }) => (reasons[stop] = String(detail ?? ''))}
							/>
						</div>
					{/each}
				</section>
			{/if}
			{#if problem}<p class="stop" role="alert">{problem}</p>{/if}
			{#if notice}<p role="status">{notice}</p>{/if}
		</div>
	{/if}

	{#if data.sheets.length > 0}
		<section class="no-print issued">
			<h2>Issued</h2>
			<ul>
				{#each data.sheets as { id, number, issuedAt, outOfDate, changes } (id)}
					<li>
						<a href={`/sheets/${id}`}>No. {number}</a>, {longDate(issuedAt.slice(0, 10))}:
						<a href={`/sheets/${id}/pdf`} download>PDF</a>, <a href={`/sheets/${id}/csv`} download>CSV</a>,
						<a href={`/sheets/${id}/ics`} download>calendar</a>,
						<a href={`/sheets/${id}/orders`} download>work orders</a>
						{#if outOfDate}<strong class="late">The plan has changed since; this sheet is out of date.</strong>
							<ul class="changes small">
								{#each changes as change, at (at)}<li>{change}</li>{/each}
							</ul>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}

	{#if data.maps.length > 0}
		<section class="no-print issued section">
			<h2>Map files</h2>
			<ul>
				{#each data.maps as { id, name } (id)}
					<li>
						<a href={`/field/${data.fieldId}/${data.year}/zones?prescription=${id}`}>{name}</a>:
						{#each PRESCRIPTION_FILES as { kind, text }, at (kind)}{at > 0 ? ', ' : ''}<a
								href={`/prescriptions/${id}/${kind}`}
								download>{text}</a
							>{/each}
					</li>
				{/each}
			</ul>
		</section>
	{/if}

	{#if data.draft && ready}
		<h2 class="section no-print">As it would be issued now</h2>
		<SheetView content={data.draft} number={undefined} />
	{/if}
</div>

<style>
	.issue {
		margin: 0.5rem 0 1rem;
	}
	.stops {
		display: grid;
		gap: 0.7rem;
		max-width: 44rem;
		margin-bottom: 1rem;
	}
	.stops p {
		margin: 0;
	}
	.who {
		width: 20rem;
	}
	.stop,
	.late {
		color: var(--stop);
	}
	.issued ul {
		padding: 0;
		list-style: none;
		margin: 0;
	}
	.issued .changes {
		list-style: disc;
		padding-left: 1.2rem;
	}
	.issued li {
		padding: 0.25rem 0;
	}
</style>
