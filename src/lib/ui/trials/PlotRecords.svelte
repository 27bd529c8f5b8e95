<!-- What was measured on the plots: typed here, imported as the filled-in data sheet, or cut from a yield layer. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { PlotRecord, TrialMeasure, TrialPlot, YieldLeftOut } from '$core/schema-types';
	import { treatmentOf } from '$core/trials/analysis/plots';
	import { USUAL_END_FT } from '$core/trials/plots/yield-of-plots';
	import { lengthText } from '$core/units/length-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import { MEASURES, measureOf } from '$core/trials/plots/measures';
	import { YieldLayerActionBounds } from '$core/schema-types/bounds';
	import NumberField from '../forms/NumberField.svelte';
	import { typedNumbers } from '../forms/number-within';
	import Choice from '../forms/Choice.svelte';
	import { call, save, sendFile } from '../forms/call';
	import FileButton from '../forms/FileButton.svelte';
	import ListTable from '../tables/ListTable.svelte';
	import { readRow, typedRows, type TypedRow } from './typed-records';

	interface Props {
		trialId: string;
		plots: readonly TrialPlot[];
		records: readonly PlotRecord[];
		codes: ReadonlyMap<string, string>;
		/** Yield layers of the field. */
		layers: readonly { id: string; name: string }[];
		/** Its layers of grain moisture. */
		moistureLayers: readonly { id: string; name: string }[];
		yieldUnit: string;
		headerFt: number;
		units: UnitSystem;
	}
	const { trialId, plots, records, codes, layers, moistureLayers, yieldUnit, headerFt, units }: Props = $props();

	let measure = $state<TrialMeasure>('yield');
	let rows = $state(untrack(() => typedRows(plots, records, measure)));
	let problem = $state('');
	let notice = $state('');
	let layer = $state(untrack(() => layers[0]?.id ?? ''));
	let moisture = $state('');
	let moistureLayer = $state('');
	const measured = $derived(measureOf(measure));
	const unit = $derived(measure === 'yield' ? yieldUnit : measured.unit);
	function nameOf(plot: number): string {
		const treatment = treatmentOf(plots.find((one) => one.plot === plot)!);
		return `${codes.get(treatment)!}  ${treatment}`;
	}

	function show(other: TrialMeasure): void {
		measure = other;
		rows = typedRows(plots, records, other);
	}

	function settle(said: string, done: string): void {
		problem = said;
		notice = said ? '' : done;
		if (!said) rows = typedRows(plots, records, measure);
	}

	async function keep(): Promise<void> {
		const read = rows.map((row) => readRow(row, measure, records));
		const wrong = read.find((one) => typeof one === 'string');
		if (typeof wrong === 'string') return void (problem = wrong);
		const body = { records: read.filter((one): one is PlotRecord => typeof one !== 'string' && one !== undefined) };
		settle(
			await save('PUT /api/trials/{trial}/records', { trial: trialId }, { ...body, seen: [...records] }),
			'Saved.'
		);
	}

	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		const outcome = await sendFile('POST /api/trials/{trial}/records/file', { trial: trialId }, file, { reload: true });
		settle(outcome.problem ?? '', `${file.name} imported.`);
	}

	/** What the cut left out, in all and plot by plot. */
	function leftOutText(leftOut: readonly YieldLeftOut[]): string[] {
		const sum = (of: 'zeros' | 'far' | 'shortPasses') => leftOut.reduce((all, one) => all + one[of], 0);
		const plotsWith = (of: 'zeros' | 'far' | 'shortPasses') =>
			leftOut
				.filter((one) => one[of] > 0)
				.map(({ plot }) => plot)
				.join(', ');
		return [
			...(sum('zeros') > 0 ? [`Left out: ${sum('zeros')} zeros (plots ${plotsWith('zeros')}).`] : []),
			...(sum('far') > 0
				? [`Left out: ${sum('far')} points far from their plot's median (plots ${plotsWith('far')}).`]
				: []),
			...(sum('shortPasses') > 0
				? [`Left out: ${sum('shortPasses')} short passes (plots ${plotsWith('shortPasses')}).`]
				: [])
		];
	}

	async function cut(): Promise<void> {
		const typed = typedNumbers({ moisturePercent: moisture }, YieldLayerActionBounds, []);
		if (typeof typed === 'string') return void (problem = typed);
		const body = moistureLayer ? { layer, moistureLayer } : { layer, ...typed };
		const outcome = await call('POST /api/trials/{trial}/records/layer', { trial: trialId }, body);
		const { missing = [], leftOut = [] } = outcome.answer ?? {};
		const all =
			missing.length === 0
				? 'Every plot has its yield.'
				: `Too few points in ${missing.length} of ${plots.length} plots: ${missing.join(', ')}.`;
		settle(outcome.problem ?? '', [all, ...leftOutText(leftOut)].join(' '));
	}
</script>

{#snippet valueCell(row: TypedRow)}
	<div class="cell">
		<TextInput
			size="sm"
			hideLabel
			labelText={`${measured.name} of ${row.plot}`}
			inputmode="decimal"
			bind:value={row.value}
		/>
	</div>
{/snippet}
{#snippet moistureCell(row: TypedRow)}
	<div class="cell">
		<TextInput
			size="sm"
			hideLabel
			labelText={`Moisture of ${row.plot}`}
			inputmode="decimal"
			bind:value={row.moisture}
		/>
	</div>
{/snippet}
{#snippet asideCell(row: TypedRow)}
	<div class="cell">
		<TextInput size="sm" hideLabel labelText={`Why ${row.plot} is left out`} bind:value={row.setAside} />
	</div>
{/snippet}
{#snippet noteCell(row: TypedRow)}
	<div class="cell"><TextInput size="sm" hideLabel labelText={`Note on ${row.plot}`} bind:value={row.note} /></div>
{/snippet}

<section class="section" aria-label="Plots">
	<h2>Plots</h2>
	<div class="row tools">
		<Select size="sm" labelText="Measured" selected={measure} on:update={({ detail }) => show(detail as TrialMeasure)}>
			{#each MEASURES as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<Button size="small" onclick={() => void keep()}>Save the plots</Button>
		<FileButton label="Import the data sheet (CSV)" accept={['.csv', 'text/csv']} take={(file) => void take(file)} />
		{#if layers.length > 0}
			<Choice
				label="Yield layer"
				value={layer}
				options={layers.map(({ id, name }) => ({ value: id, text: name }))}
				choose={(id) => (layer = id)}
			/>
			{#if moistureLayers.length > 0}
				<Choice
					label="Moisture by"
					value={moistureLayer}
					options={[
						{ value: '', text: 'one number' },
						...moistureLayers.map(({ id, name }) => ({ value: id, text: name }))
					]}
					choose={(id) => (moistureLayer = id)}
				/>
			{/if}
			{#if moistureLayer === ''}<NumberField
					facts={YieldLayerActionBounds.moisturePercent}
					placeholder="as sold"
					bind:text={moisture}
				/>{/if}
			<Button size="small" kind="tertiary" onclick={() => void cut()}>Cut it by the plots</Button>
		{/if}
	</div>
	{#if layers.length > 0}<p class="soft small">
			{lengthText(headerFt / 2, units)} are left out along each side of a plot, and {lengthText(USUAL_END_FT, units)} at each
			end.
		</p>{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<ListTable
		label="Plots"
		{rows}
		key={({ plot }) => String(plot)}
		sortable={false}
		rowClass={({ setAside }) => (setAside === '' ? '' : 'aside')}
		columns={[
			{ name: 'Plot', of: ({ plot }) => plot },
			{ name: 'Treatment', of: ({ plot }) => nameOf(plot) },
			{ name: unit ? `${measured.name}, ${unit}` : measured.name, cell: valueCell },
			...(measure === 'yield' ? [{ name: 'Moisture, %', cell: moistureCell }] : []),
			{ name: 'Left out, because', cell: asideCell },
			{ name: 'Note', cell: noteCell }
		]}
	/>
</section>

<style>
	.cell {
		min-width: 6rem;
	}
	.tools > :global(.bx--form-item) {
		flex: 0 0 14rem;
	}
	.tools {
		justify-content: start;
		align-items: end;
		flex-wrap: wrap;
	}
</style>
