<!-- What a lab file holds, and what is taken where no column says it. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { guessMapping, type LabFileKind } from '$core/ground/lab-file/guess-mapping';
	import type { LabMapping, ResultUnit } from '$core/schema-types';
	import { unitsOf } from '$core/units/result-units';
	import Choice from '../../forms/Choice.svelte';
	import { numberOrUndefined } from '../../forms/numbers';

	interface Props {
		mapping: LabMapping;
		/** Names of the crops that leaves may be of. */
		crops: string[];
		changed: () => void;
	}
	let { mapping = $bindable(), crops, changed }: Props = $props();

	const named = (values: readonly string[]) => values.map((value) => ({ value, text: value }));
	const ALL_UNITS = [
		...named(['ppm', 'mg/kg']),
		{ value: 'lb/ac', text: 'lb/ac in the layer' },
		{ value: 'lb/ac-furrow', text: 'lb/ac (ppm x 2)' },
		{ value: 'kg/ha', text: 'kg/ha' }
	];

	const kind = $derived(mapping.leaf ? 'leaf' : 'soil');
	const unset = $derived(
		kind === 'soil' && mapping.columns.some(({ role, unit }) => role === 'result' && unit === undefined)
	);

	/** What the file holds is another thing: its header line is read anew. */
	function setKind(wanted: LabFileKind): void {
		const headers = mapping.columns.map(({ header }) => header);
		mapping = { ...guessMapping(headers, [], wanted), dateOrder: mapping.dateOrder, depth: mapping.depth };
		changed();
	}

	/** A depth is kept once it is one: while a number is typed, what stood before holds. */
	function setDepth(end: 'top' | 'bottom', typed: string | number | null): void {
		const depth = numberOrUndefined(typed);
		if (depth === undefined || depth < 0) return;
		mapping.depth[end] = depth;
		changed();
	}

	function setAll(unit: ResultUnit): void {
		for (const column of mapping.columns) {
			if (
				column.role === 'result' &&
				column.unit === undefined &&
				column.analyte &&
				unitsOf(column.analyte).includes(unit)
			) {
				column.unit = unit;
			}
		}
		changed();
	}
</script>

<div class="row defaults">
	<span>The file holds</span>
	<Choice
		label="The file holds"
		value={kind}
		options={[
			{ value: 'soil', text: 'soil tests' },
			{ value: 'leaf', text: 'leaf tests' }
		]}
		choose={(wanted) => setKind(wanted as LabFileKind)}
	/>
	<span>Dates are written</span>
	<Choice
		label="Dates are written"
		value={mapping.dateOrder}
		options={named(['year-month-day', 'month-day-year', 'day-month-year'])}
		choose={(order) => {
			mapping.dateOrder = order as LabMapping['dateOrder'];
			changed();
		}}
	/>
	{#if mapping.leaf}
		{@const leaf = mapping.leaf}
		<span>Where no column says it:</span>
		{#each ['crop', 'part', 'stage'] as const as what (what)}
			<div class="told">
				<TextInput
					size="sm"
					labelText={what === 'part' ? 'Leaves picked' : what === 'stage' ? 'Stage or month' : 'Crop'}
					list={what === 'crop' ? 'leaf-crops' : undefined}
					value={leaf[what]}
					on:input={({ detail }) => {
						leaf[what] = String(detail ?? '');
						changed();
					}}
				/>
			</div>
		{/each}
		<datalist id="leaf-crops"
			>{#each crops as name (name)}<option value={name}></option>{/each}</datalist
		>
	{:else}
		<span>Sampled depth, where no column says it:</span>
		{#each ['top', 'bottom'] as const as end (end)}
			<div class="depth">
				<TextInput
					size="sm"
					hideLabel
					inputmode="decimal"
					labelText={`${end === 'top' ? 'Top' : 'Bottom'} of the sampled depth`}
					value={String(mapping.depth[end])}
					on:input={({ detail }) => setDepth(end, detail)}
				/>
			</div>
		{/each}
		<Choice
			label="Unit of depth"
			value={mapping.depth.unit}
			options={named(['in', 'cm'])}
			choose={(unit) => {
				mapping.depth.unit = unit as LabMapping['depth']['unit'];
				changed();
			}}
		/>
	{/if}
	{#if unset}
		<span>Set every unit not named to</span>
		<Choice
			label="Set every unit not named"
			value=""
			options={[{ value: '', text: 'choose' }, ...ALL_UNITS]}
			choose={(unit) => setAll(unit as ResultUnit)}
		/>
	{/if}
</div>

<style>
	.defaults {
		align-items: end;
		gap: 0.5rem 1.2rem;
		margin-bottom: 0.8rem;
		font-size: 0.92rem;
	}
	.defaults > span {
		padding-bottom: 0.35rem;
	}
	.depth {
		width: 5rem;
	}
	.told {
		width: 12rem;
	}
</style>
