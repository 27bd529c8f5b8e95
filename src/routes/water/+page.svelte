<script lang="ts">
	import { Button, Checkbox, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';
	import { answerWater } from '$core/water/answer-water';
	import { ASKED, askedUnit, readWater, REPORT, typedOf, type TypedWater } from '$lib/ui/water/typed-water';
	import { call } from '$lib/ui/forms/call';
	import { WaterFileActionBounds } from '$core/schema-types/bounds';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import CropsWithWater from '$lib/ui/water/CropsWithWater.svelte';
	import SaveReport from '$lib/ui/water/SaveReport.svelte';
	import WaterAnswers from '$lib/ui/water/WaterAnswers.svelte';
	import WaterSources from '$lib/ui/water/WaterSources.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	let unit = $state<'ppm' | 'meq/L'>('ppm');
	let crop = $state('');
	let sprinkled = $state(false);
	let typed = $state<TypedWater>({});
	/** The source whose report was opened last. */
	let opened = $state('');
	const grown = $derived(data.grown.get(opened) ?? []);
	const request = $derived(
		readWater(typed, { unit, sprinkled, ...(crop === '' ? {} : { crop }) }, data.settings.units)
	);
	const empty = $derived(REPORT.every(({ key }) => (typed[key] ?? '').trim() === ''));
	const answer = $derived(typeof request === 'string' || empty ? undefined : answerWater(request, data));
	let problem = $state('');
	let notice = $state('');

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		notice = '';
		const found = await textOfFile(file, WaterFileActionBounds.csv);
		if (typeof found === 'string') return void (problem = found);
		const { answer, problem: failed } = await call('POST /api/water-sources/file', {}, { csv: found.text });
		problem = failed ?? '';
		if (answer) {
			notice = `${answer.entered} imported from ${file.name}, ${answer.known} passed over that the book had; new sources: ${answer.sources}.${found.note}`;
		}
	}

	/** What was asked of the water stays when another report is opened. */
	const onlyAsked = (all: TypedWater): TypedWater =>
		Object.fromEntries(ASKED.flatMap(({ key }) => (all[key] === undefined ? [] : [[key, all[key]]])));
	const labelOf = (name: string, of: string) => (of === '' ? name : `${name}, ${of}`);
</script>

{#snippet field(key: string, label: string)}
	<TextInput
		size="sm"
		labelText={label}
		inputmode="decimal"
		bind:value={() => typed[key] ?? '', (text) => (typed[key] = String(text ?? ''))}
	/>
{/snippet}

<div class="page">
	<h1>Irrigation water</h1>
	<p class="soft">Type in a report; what it says follows at once. What the lab does not give is left empty.</p>
	<div class="row bar">
		<FileButton label="Import reports (CSV)" accept={['.csv', 'text/csv']} take={(file) => void take(file)} />
		{#if data.sources.some(({ reports }) => reports.length > 0)}
			<Button size="small" kind="tertiary" href="/water/file" download>All reports as CSV</Button>
		{/if}
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<WaterSources
		sources={data.sources}
		open={(source, { water }) => {
			opened = source.id;
			unit = water.unit;
			typed = { ...onlyAsked(typed), ...typedOf(water) };
		}}
	/>
	<div class="parts">
		<section aria-label="Report">
			<h2>The report</h2>
			<div class="fields">
				<Select size="sm" labelText="Ca to NO3-N are in" bind:selected={unit}>
					<SelectItem value="ppm" text="ppm (mg/L)" />
					<SelectItem value="meq/L" text="meq/L" />
				</Select>
				{#each REPORT as { key, name, unit: own } (key)}{@render field(key, labelOf(name, own ?? unit))}{/each}
			</div>
			<h3>What it is for</h3>
			<div class="fields">
				<Select size="sm" labelText="Crop" bind:selected={crop}>
					<SelectItem value="" text="None" />
					{#each data.crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				{#each ASKED as one (one.key)}
					{@render field(one.key, labelOf(one.name, askedUnit(one, data.settings.units)))}
				{/each}
			</div>
			<TextArea
				labelText="Bench titration: acid in meq/L and the pH it gave, one point to a line"
				placeholder="0 7.8"
				rows={3}
				bind:value={() => typed.titration ?? '', (text) => (typed.titration = String(text ?? ''))}
			/>
			<Checkbox labelText="Sprinkled over the leaves" bind:checked={sprinkled} />
			<SaveReport
				sources={data.sources}
				today={data.today}
				water={typeof request === 'string' || empty ? undefined : request.water}
			/>
		</section>
		<section aria-label="What it says">
			<h2>What it says</h2>
			{#if typeof request === 'string'}
				<p class="problem" role="alert">{request}</p>
			{:else if answer}
				<WaterAnswers {answer} units={data.settings.units} products={data.products} prices={data.prices} />
			{:else}
				<p class="soft">Nothing is typed in yet.</p>
			{/if}
		</section>
	</div>
	{#if typeof request !== 'string' && !empty}
		<CropsWithWater {request} crops={data.crops} limits={data.waterLimits} {grown} />
	{/if}
</div>

<style>
	.fields {
		margin: 0.6rem 0 0.9rem;
	}
	.bar {
		margin-bottom: 0.8rem;
	}
	.parts {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		gap: 2.4rem;
	}
	@media (max-width: 900px) {
		.parts {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
