<!-- One line per column of the file: its header, an example, and what it means. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { analyteName } from '$core/ground/analyte-names';
	import { guessMapping, type LabFileKind } from '$core/ground/lab-file/guess-mapping';
	import { methodName, methodsOf } from '$core/ground/lab-file/lab-methods';
	import type { Analyte, ColumnMeaning, LabMapping, LabMethod, LeafElement, ResultUnit } from '$core/schema-types';
	import { LEAF_UNITS, leafUnit } from '$core/reading/leaf/leaf-units';
	import { unitsOf } from '$core/units/result-units';
	import { unitText } from '../../figure/unit-text';
	import Choice from '../../forms/Choice.svelte';
	import { numberOrUndefined } from '../../forms/numbers';

	interface Props {
		mapping: LabMapping;
		examples: string[];
		/** Names of the crops that leaves may be of. */
		crops: string[];
		changed: () => void;
	}
	let { mapping = $bindable(), examples, crops, changed }: Props = $props();

	const ROLES: ColumnMeaning['role'][] = [
		'ignore',
		'field',
		'grower',
		'sample number',
		'date',
		'depth',
		'top depth',
		'bottom depth',
		'spot'
	];
	const LEAF_ROLES: ColumnMeaning['role'][] = [
		'ignore',
		'field',
		'grower',
		'sample number',
		'date',
		'spot',
		'crop',
		'part',
		'stage',
		'leaves'
	];
	const ELEMENTS: LeafElement[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S', 'B', 'Zn', 'Mn', 'Cu', 'Fe'];
	const ANALYTES: Analyte[] = [
		'pH',
		'bufferPh',
		'P',
		'K',
		'Ca',
		'Mg',
		'Na',
		'CEC',
		'OM',
		'OC',
		'NO3-N',
		'NH4-N',
		'SO4-S',
		'Zn',
		'B',
		'Mn',
		'Cu',
		'Fe',
		'Al',
		'EC',
		'carbonate',
		'clay',
		'bulkDensity'
	];

	const named = (values: readonly string[]) => values.map((value) => ({ value, text: value }));
	const MEANINGS = {
		soil: [
			{ label: 'About the sample', options: named(ROLES) },
			{ label: 'A result', options: ANALYTES.map((analyte) => ({ value: `=${analyte}`, text: analyteName(analyte) })) }
		],
		leaf: [
			{ label: 'About the leaves', options: named(LEAF_ROLES) },
			{ label: 'A result', options: ELEMENTS.map((element) => ({ value: `=${element}`, text: element })) }
		]
	};
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

	function setMeaning(column: ColumnMeaning, value: string): void {
		delete column.method;
		delete column.unit;
		delete column.analyte;
		delete column.element;
		if (value.startsWith('=') && kind === 'leaf') {
			column.role = 'result';
			column.element = value.slice(1) as LeafElement;
			column.unit = leafUnit(column.element);
		} else if (value.startsWith('=')) {
			column.role = 'result';
			column.analyte = value.slice(1) as Analyte;
			const units = unitsOf(column.analyte);
			if (units.length === 1 || units[0] !== 'ppm') column.unit = units[0];
		} else {
			column.role = value as ColumnMeaning['role'];
		}
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

<div class="columns">
	{#each mapping.columns as column, index (index)}
		<div class="column" class:ignored={column.role === 'ignore'}>
			<div class="header">
				<strong>{column.header || `column ${index + 1}`}</strong>
				<span class="soft small">{examples[index]}</span>
			</div>
			<Choice
				label={`Meaning of ${column.header}`}
				value={column.role === 'result' ? `=${column.element ?? column.analyte}` : column.role}
				groups={MEANINGS[kind]}
				choose={(meaning) => setMeaning(column, meaning)}
			/>
			{#if column.role === 'result' && column.element}
				<Choice
					label={`Unit of ${column.header}`}
					value={column.unit ?? ''}
					options={named(LEAF_UNITS)}
					choose={(unit) => {
						column.unit = unit as ResultUnit;
						changed();
					}}
				/>
			{:else if column.role === 'result' && column.analyte}
				{@const methods = methodsOf(column.analyte)}
				{#if methods.length > 0}
					<Choice
						label={`Method of ${column.header}`}
						value={column.method ?? ''}
						options={[
							{ value: '', text: 'not named' },
							...methods.map((method) => ({ value: method, text: methodName(method) }))
						]}
						choose={(method) => {
							if (method) column.method = method as LabMethod;
							else delete column.method;
							changed();
						}}
					/>
				{/if}
				<Choice
					label={`Unit of ${column.header}`}
					value={column.unit ?? ''}
					missing={column.unit === undefined}
					options={[
						...(column.unit === undefined ? [{ value: '', text: 'say the unit' }] : []),
						...unitsOf(column.analyte).map((unit) => ({ value: unit, text: unitText(unit) }))
					]}
					choose={(unit) => {
						column.unit = unit as ResultUnit;
						changed();
					}}
				/>
			{/if}
		</div>
	{/each}
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
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(176px, 1fr));
		gap: 0.6rem;
	}
	.column {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		align-content: start;
		gap: 0.3rem;
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.5rem 0.6rem;
	}
	.ignored {
		background: transparent;
	}
	.header {
		display: flex;
		justify-content: space-between;
		gap: 0.5rem;
		font-size: 0.88rem;
		overflow: hidden;
		white-space: nowrap;
	}
	.header strong {
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.header span {
		flex-shrink: 10;
		overflow: hidden;
		text-overflow: ellipsis;
	}
</style>
