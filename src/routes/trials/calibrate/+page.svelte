<!-- Critical values of a soil or leaf test from sites, each way of reading beside the others, and a rule of one's own from one of them. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CalibrateAnswer, CalibrateRequest, CalibrationModel, LabMethod } from '$core/schema-types';
	import { criticalFigure } from '$core/trials/calibration/critical-figure';
	import { MODEL_TITLES } from '$core/trials/calibration/model-titles';
	import { readSites } from '$core/trials/calibration/read-sites';
	import Chart from '$lib/ui/charts/Chart.svelte';
	import { calibrationChart } from '$lib/ui/charts/calibration';
	import { call } from '$lib/ui/forms/call';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { numberOrUndefined } from '$lib/ui/forms/numbers';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import LeafRangeFromSites from '$lib/ui/trials/LeafRangeFromSites.svelte';
	import { LEAF_ELEMENTS, leafUnit } from '$core/units/leaf-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Fit = CalibrateAnswer['fits'][number];

	const SOIL = 'soil';
	const TESTED = [
		{ value: SOIL, text: 'soil, ppm' },
		...LEAF_ELEMENTS.map((element) => ({ value: element, text: `leaf ${element}, ${leafUnit(element)}` }))
	];
	const EXAMPLE = 'test, relative yield, site\n8, 62, Long Acre 2024\n14, 85, Heronry 2024\n…';
	const LETTERS = 'abcde'.split('');
	const USUAL_DEPTH_IN = '6';

	let tested = $state<string>(SOIL);
	const element = $derived(LEAF_ELEMENTS.find((one) => one === tested));
	const unit = $derived(element && leafUnit(element) === '%' ? '% of dry matter' : 'ppm');
	let text = $state('');
	let crop = $state('corn-grain');
	let nutrient = $state(untrack(() => data.nutrients[0]!.nutrient));
	let method = $state<LabMethod>('mehlich-3');
	let depth = $state(USUAL_DEPTH_IN);
	let model = $state<CalibrationModel>('linear-plateau');
	let rateAtZero = $state('');
	let problem = $state('');
	let notice = $state('');
	/** What the shown values were made of. */
	let shown = $state.raw<{ sites: CalibrateRequest['observations']; answer: CalibrateAnswer }>();

	const kind = $derived(data.nutrients.find((one) => one.nutrient === nutrient)!);
	const levels = $derived(data.levels.filter((one) => one.crop === crop && one.analyte === kind.analyte));
	const usable = $derived((shown?.answer.fits ?? []).filter(({ critical }) => critical !== null));
	const digits = (value: number | null | undefined) =>
		value === null || value === undefined ? '' : value.toPrecision(3);

	async function read(): Promise<void> {
		notice = '';
		const { sites, faults } = readSites(text);
		if (faults.length > 0) return void (problem = faults.slice(0, 5).join('. '));
		const outcome = await call('POST /api/calibrate', {}, { observations: sites });
		problem = outcome.problem ?? '';
		if (!outcome.answer) return;
		shown = { sites, answer: outcome.answer };
		if (!outcome.answer.fits.some((one) => one.model === model && one.critical !== null)) {
			model = outcome.answer.fits.find(({ critical }) => critical !== null)?.model ?? model;
		}
	}

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		const found = await textOfFile(file);
		problem = typeof found === 'string' ? found : '';
		if (typeof found !== 'string') text = found.text;
	}

	/** In place of what stands there: it can be changed or added to before it is read. */
	function takeTrials(set: PageData['fromTrials']['sets'][number]): void {
		({ crop, nutrient, method, table: text } = set);
		tested = SOIL;
		problem = '';
	}

	async function makeRule(): Promise<void> {
		notice = '';
		const rate = numberOrUndefined(rateAtZero);
		const inches = numberOrUndefined(depth);
		if (!rate || rate <= 0) return void (problem = 'Say the rate where the soil has none, in lb/ac, above 0.');
		if (!inches) return void (problem = `The sampling depth must be in inches; got “${depth}”.`);
		const body = {
			crop,
			nutrient,
			method,
			samplingDepthIn: inches,
			model,
			rateAtZero: rate,
			observations: [...shown!.sites]
		};
		const outcome = await call('POST /api/guides/calibrated', {}, body);
		problem = outcome.problem ?? '';
		if (outcome.answer) notice = 'Saved. The rule speaks under Rates now, and stands in your guide “Own calibration”.';
	}
</script>

{#snippet nameCell({ model: own }: Fit)}
	<strong>{LETTERS[shown!.answer.fits.findIndex((one) => one.model === own)]}</strong> {MODEL_TITLES[own]}
{/snippet}

<div class="page">
	<p class="small"><a href="/trials">Trials</a></p>
	<h1>Calibrate a test</h1>
	<p class="soft">
		Sites with their soil or leaf test and what they yielded without the nutrient, as a share of plenty: above which
		test does the nutrient no longer pay?
	</p>
	<div class="two">
		<form
			onsubmit={(event) => {
				event.preventDefault();
				void read();
			}}
			aria-label="Sites"
		>
			<TextArea
				labelText="Sites: test, relative yield in %, name (or yields without and with plenty)"
				rows={9}
				placeholder={EXAMPLE}
				bind:value={text}
			/>
			<Select size="sm" labelText="What was tested" bind:selected={tested}>
				{#each TESTED as one (one.value)}<SelectItem value={one.value} text={one.text} />{/each}
			</Select>
			<div class="row">
				<Button size="small" type="submit">Read the critical values</Button>
				<FileButton label="Take a CSV file" accept={['.csv', 'text/csv']} {take} />
			</div>
			<section aria-label="Trials of this book">
				{#each data.fromTrials.sets as set, at (at)}
					<Button size="small" kind="ghost" onclick={() => takeTrials(set)}>
						{set.sites === 1 ? 'Take 1 site' : `Take ${set.sites} sites`} from your trials: {set.name}
					</Button>
				{:else}
					<p class="small soft">
						Your own trials of P2O5 or K2O rates, with plots of nothing and of plenty, on sampled fields, can be taken
						here too; there is none yet.
					</p>
				{/each}
				{#each data.fromTrials.left as reason, at (at)}<p class="small soft">No site: {reason}.</p>{/each}
			</section>
		</form>
		{#if shown}
			<Chart
				option={calibrationChart(shown.sites, shown.answer.fits, LETTERS, unit)}
				height="290px"
				label={`${shown.sites.length} sites with the critical value of ${usable.length} ways of reading`}
			/>
		{/if}
	</div>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	{#if shown}
		<section class="section" aria-label="Critical values">
			<h2>Critical values</h2>
			<ListTable
				label="Critical values"
				rows={shown.answer.fits}
				key={(fit) => fit.model}
				sortable={false}
				columns={[
					{ name: 'Read as', of: (fit) => MODEL_TITLES[fit.model], cell: nameCell },
					{ name: 'Critical value', answer: (fit) => criticalFigure(fit, shown!.sites, unit), bare: true },
					{
						name: '90 % of draws of the sites',
						of: ({ interval }) => (interval ? `${digits(interval[0])} to ${digits(interval[1])}` : ''),
						number: true
					},
					{ name: 'Residual SS', of: ({ rss }) => (rss === null ? '' : rss.toFixed(0)), number: true },
					{ name: '', of: ({ reason }) => reason }
				]}
			/>
			{#each shown.answer.notes as note, at (at)}<p class="small">{note}</p>{/each}
		</section>
		{#if element && usable.length > 0}
			<LeafRangeFromSites {element} fits={usable} sites={shown.sites} ranges={data.leafRanges} />
		{:else if !element}<section class="section" aria-label="A rule of your own">
				<h2>A rule of your own</h2>
				<p class="soft">
					The rate falls evenly from that of a soil with none to nothing at the critical value. It stands in your guide
					“Own calibration” with these sites as its source.
				</p>
				<div class="fields">
					<Select size="sm" labelText="Crop" bind:selected={crop}>
						{#each data.crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
					</Select>
					<Select size="sm" labelText="Nutrient" bind:selected={nutrient}>
						{#each data.nutrients as one (one.nutrient)}<SelectItem value={one.nutrient} text={one.nutrient} />{/each}
					</Select>
					<Select size="sm" labelText="Test" bind:selected={method}>
						{#each kind.methods as one (one.method)}<SelectItem
								value={one.method}
								text={`${kind.analyte}, ${one.name}`}
							/>{/each}
					</Select>
					<TextInput size="sm" labelText="Sampled to, in" inputmode="decimal" bind:value={depth} />
					<Select size="sm" labelText="Critical value by" bind:selected={model}>
						{#each usable as fit (fit.model)}<SelectItem
								value={fit.model}
								text={`${MODEL_TITLES[fit.model]}: ${digits(fit.critical)}`}
							/>{/each}
					</Select>
					<TextInput
						size="sm"
						labelText={`${nutrient} at a test of 0, lb/ac`}
						inputmode="decimal"
						bind:value={rateAtZero}
					/>
				</div>
				{#if levels.length > 0}<p class="small">
						Guides say: {levels.map((one) => one.text).join('; ')}.
					</p>{/if}
				<div class="row"><Button size="small" onclick={() => void makeRule()}>Make it a rule</Button></div>
				{#if notice}<p role="status">{notice} <a href="/guides">See the guide</a></p>{/if}
			</section>{/if}
	{/if}
</div>

<style>
	.two {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		gap: 1.6rem;
		align-items: start;
	}
	form {
		display: grid;
		gap: 0.6rem;
	}
	@media (max-width: 800px) {
		.two {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
