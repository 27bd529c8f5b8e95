<!-- A sample typed from the lab's paper, or put right: one layer in sight at a time, as the lab wrote it. -->
<script lang="ts">
	import { Button, InlineNotification, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { analyteName } from '$core/ground/analyte-names';
	import { methodName, methodsOf } from '$core/ground/lab-file/lab-methods';
	import type { Analyte, Sample, SampleAction } from '$core/schema-types';
	import { ANALYTES, unitsOf } from '$core/units/result-units';
	import { unitText } from '../figure/unit-text';
	import Choice from '../forms/Choice.svelte';
	import DayField from '../forms/days/DayField.svelte';
	import { emptyLayer, emptyLine, sampleOf, typedLayers, type TypedHead } from './typed-sample';

	interface Props {
		today: string;
		/** The sample that is corrected; else a new one is typed in. */
		sample?: { lab: string; labNumber: string; report: Sample } | undefined;
		/** Keeps the sample; gives back what went wrong. */
		keep: (sample: SampleAction) => Promise<string | undefined>;
		close: () => void;
	}
	const { today, sample, keep, close }: Props = $props();

	let open = $state(true);
	let problem = $state('');
	let head = $state<TypedHead>(
		untrack(() => ({
			date: sample?.report.date ?? (sample ? '' : today),
			lab: sample?.lab ?? '',
			labNumber: sample?.labNumber ?? '',
			spot: sample?.report.spot ?? 'whole'
		}))
	);
	const layers = $state(untrack(() => (sample ? typedLayers(sample.report) : [emptyLayer()])));
	let at = $state('0');
	const layer = $derived(layers[Number(at)]!);
	const others = $derived(ANALYTES.filter((one) => !layer.lines.some(({ analyte }) => analyte === one)));

	function addLayer(): void {
		const { bottom, depthUnit } = layers.at(-1)!;
		layers.push(emptyLayer(bottom, '', depthUnit));
		at = String(layers.length - 1);
	}

	async function save(): Promise<void> {
		const typed = sampleOf(head, layers, sample?.report);
		problem = typeof typed === 'string' ? typed : ((await keep(typed)) ?? '');
	}
</script>

<Modal
	bind:open
	size="lg"
	modalHeading={sample ? 'Correct the sample' : 'Type in a sample'}
	primaryButtonText="Save the sample"
	secondaryButtonText="Cancel"
	selectorPrimaryFocus=".bx--modal-content input"
	hasForm
	on:click:button--secondary={close}
	on:close={close}
	on:submit={save}
>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div class="fields">
		<DayField label="Sampled on" bind:date={head.date} />
		<TextInput size="sm" labelText="Lab" bind:value={head.lab} />
		<TextInput size="sm" labelText="Lab's number" bind:value={head.labNumber} />
		{#if layers.length > 1}
			<Select size="sm" labelText="Layer" bind:selected={at}>
				{#each layers as { top, bottom, depthUnit }, number (number)}
					<SelectItem value={String(number)} text={`${top} to ${bottom} ${depthUnit}`} />
				{/each}
			</Select>
		{/if}
		<TextInput size="sm" labelText="Depth from" inputmode="decimal" bind:value={layer.top} />
		<TextInput size="sm" labelText="Depth to" inputmode="decimal" bind:value={layer.bottom} />
		<Select size="sm" labelText="Unit of depth" bind:selected={layer.depthUnit}>
			<SelectItem value="in" text="in" />
			<SelectItem value="cm" text="cm" />
		</Select>
		<Select size="sm" labelText="Spot" bind:selected={head.spot}>
			<SelectItem value="whole" text="whole field" />
			<SelectItem value="bad" text="bad spot" />
			<SelectItem value="good" text="good spot" />
		</Select>
	</div>
	<p class="soft small">
		Leave empty what the report does not give. “&lt;0.5” is kept as such.
		{#if sample}A sheet that was issued from it will say that it is out of date.{/if}
	</p>
	<div class="lines">
		{#each layer.lines as line, number (number)}
			{@const methods = methodsOf(line.analyte)}
			<div class="line">
				<TextInput
					size="sm"
					hideLabel
					labelText={analyteName(line.analyte)}
					inputmode="decimal"
					bind:value={line.value}
				/>
				<span>{analyteName(line.analyte)}</span>
				{#if methods.length > 0}
					<Choice
						label={`Method of ${analyteName(line.analyte)}`}
						value={line.method}
						options={[
							{ value: '', text: 'not named' },
							...methods.map((method) => ({ value: method, text: methodName(method) }))
						]}
						choose={(method) => (line.method = method)}
					/>
				{:else}<span></span>{/if}
				<Choice
					label={`Unit of ${analyteName(line.analyte)}`}
					value={line.unit}
					options={unitsOf(line.analyte).map((unit) => ({ value: unit, text: unitText(unit) }))}
					choose={(unit) => (line.unit = unit as typeof line.unit)}
				/>
			</div>
		{/each}
	</div>
	<div class="row more">
		{#if others.length > 0}
			<Choice
				label="Another analyte"
				value=""
				options={[
					{ value: '', text: 'Another analyte' },
					...others.map((analyte) => ({ value: analyte, text: analyteName(analyte) }))
				]}
				choose={(analyte) => layer.lines.push(emptyLine(analyte as Analyte))}
			/>
		{/if}
		<Button size="small" kind="ghost" onclick={addLayer}>Add a deeper layer</Button>
	</div>
</Modal>

<style>
	.more {
		margin-top: 0.8rem;
	}
	p {
		margin: 0.8rem 0;
	}
	.lines {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, 30rem), 1fr));
		gap: 0.4rem 1.5rem;
	}
	.line {
		display: grid;
		grid-template-columns: 4.6rem 5.9rem minmax(0, 1fr) 8.4rem;
		gap: 0.5rem;
		align-items: center;
		font-size: 0.9rem;
	}
	.line :global(input) {
		text-align: right;
	}
	/* On a phone the method stands under the name. */
	@media (max-width: 700px) {
		.line {
			grid-template-columns: 4.5rem minmax(0, 1fr) 8.8rem;
		}
		.line > :global(:nth-child(3):not(span)) {
			grid-area: 2 / 2 / auto / -1;
		}
		.line > :global(span:nth-child(3)) {
			display: none;
		}
		.line > :global(:nth-child(4)) {
			grid-area: 1 / 3;
		}
	}
</style>
