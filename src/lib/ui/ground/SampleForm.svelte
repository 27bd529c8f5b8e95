<!-- A sample typed from the lab's paper: one layer at a time, as the lab wrote it. -->
<script lang="ts">
	import { InlineNotification, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { analyteName } from '$core/ground/analyte-names';
	import { methodName, methodsOf } from '$core/ground/lab-file/lab-methods';
	import type { Analyte, LabMethod, ResultUnit, SampleAction } from '$core/schema-types';
	import { unitsOf } from '$core/units/result-units';
	import { numberOrUndefined } from '../forms/numbers';
	import { unitText } from '../figure/unit-text';
	import Choice from '../forms/Choice.svelte';
	import DayField from '../forms/days/DayField.svelte';

	interface Props {
		today: string;
		/** Keeps the sample; gives back what went wrong. */
		keep: (sample: SampleAction) => Promise<string | undefined>;
		close: () => void;
	}
	const { today, keep, close }: Props = $props();

	/** What most reports give, in the order in which they give it. */
	const ANALYTES: Analyte[] = ['pH', 'bufferPh', 'P', 'K', 'Ca', 'Mg', 'CEC', 'OM', 'NO3-N', 'SO4-S', 'Zn', 'B'];
	const USUAL: Partial<Record<Analyte, LabMethod>> = {
		pH: 'water',
		bufferPh: 'smp',
		K: 'ammonium-acetate',
		Ca: 'ammonium-acetate',
		Mg: 'ammonium-acetate'
	};

	let open = $state(true);
	let problem = $state('');
	let head = $state({
		date: untrack(() => today),
		lab: '',
		labNumber: '',
		top: '0',
		bottom: '8',
		depthUnit: 'in',
		spot: 'whole'
	});
	const lines = $state(
		ANALYTES.map((analyte): { analyte: Analyte; value: string; method: string; unit: string } => ({
			analyte,
			value: '',
			method: USUAL[analyte] ?? '',
			unit: unitsOf(analyte)[0]!
		}))
	);

	async function save(): Promise<void> {
		const top = numberOrUndefined(head.top);
		const bottom = numberOrUndefined(head.bottom);
		if (!/^\d{4}-\d\d-\d\d$/.test(head.date))
			return void (problem = `The date “${head.date}” must be written as 2026-10-12.`);
		if (top === undefined || bottom === undefined || bottom <= top) {
			return void (problem = `The depth ${head.top} to ${head.bottom} must run downwards, such as 0 to 8.`);
		}
		const results: SampleAction['report']['layers'][number]['results'] = [];
		for (const { analyte, value, method, unit } of lines) {
			const text = value.trim();
			if (text === '') continue;
			const qualifier = text.startsWith('<') ? '<' : text.startsWith('>') ? '>' : undefined;
			const number = numberOrUndefined(qualifier ? text.slice(1) : text);
			if (number === undefined || number < 0)
				return void (problem = `${analyteName(analyte)}: “${text}” is no number, 0 or more.`);
			results.push({
				analyte,
				value: number,
				unit: unit as ResultUnit,
				...(method ? { method: method as LabMethod } : {}),
				...(qualifier ? { qualifier } : {})
			});
		}
		if (results.length === 0) return void (problem = 'Type at least one value from the report.');
		problem =
			(await keep({
				lab: head.lab.trim(),
				labNumber: head.labNumber.trim(),
				report: {
					date: head.date,
					...(head.spot === 'whole' ? {} : { spot: head.spot as 'good' | 'bad' }),
					layers: [{ top, bottom, depthUnit: head.depthUnit as 'in' | 'cm', results }]
				}
			})) ?? '';
	}
</script>

<Modal
	bind:open
	size="lg"
	modalHeading="Type in a sample"
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
		<TextInput size="sm" labelText="Depth from" inputmode="decimal" bind:value={head.top} />
		<TextInput size="sm" labelText="Depth to" inputmode="decimal" bind:value={head.bottom} />
		<Select size="sm" labelText="Unit of depth" bind:selected={head.depthUnit}>
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
		Leave empty what the report does not give. “&lt;0.5” is kept as such. A second layer of the same day and number
		joins the first.
	</p>
	<div class="lines">
		{#each lines as line, at (at)}
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
</Modal>

<style>
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
		grid-template-columns: 3.8rem 5.9rem minmax(0, 1fr) 8.6rem;
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
