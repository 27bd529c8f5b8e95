<!-- One line per column of the file: its header, an example, and what it means. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import { COLUMN_ROLES } from '$core/ground/lab-file/column-roles';
	import { methodName, methodsOf } from '$core/ground/lab-file/lab-methods';
	import type { Analyte, ColumnMeaning, LabMapping, LabMethod, LeafElement, ResultUnit } from '$core/schema-types';
	import { LEAF_ELEMENTS, LEAF_UNITS, leafUnit } from '$core/units/leaf-units';
	import { unitsOf } from '$core/units/result-units';
	import { unitText } from '../../figure/unit-text';
	import Choice from '../../forms/Choice.svelte';
	import FileDefaults from './FileDefaults.svelte';

	interface Props {
		mapping: LabMapping;
		examples: string[];
		/** Names of the crops that leaves may be of. */
		crops: string[];
		changed: () => void;
	}
	let { mapping = $bindable(), examples, crops, changed }: Props = $props();

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
		'extractCa',
		'extractSO4',
		'clay',
		'bulkDensity'
	];

	const named = (values: readonly string[]) => values.map((value) => ({ value, text: value }));
	const MEANINGS = {
		soil: [
			{ label: 'About the sample', options: named(COLUMN_ROLES.soil) },
			{ label: 'A result', options: ANALYTES.map((analyte) => ({ value: `=${analyte}`, text: analyteName(analyte) })) }
		],
		leaf: [
			{ label: 'About the leaves', options: named(COLUMN_ROLES.leaf) },
			{ label: 'A result', options: LEAF_ELEMENTS.map((element) => ({ value: `=${element}`, text: element })) }
		]
	};
	const kind = $derived(mapping.leaf ? 'leaf' : 'soil');

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
</script>

<FileDefaults bind:mapping {crops} {changed} />

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
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(196px, 1fr));
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
	/* The names of methods are long. */
	.column :global(.bx--select-input) {
		padding-inline: 0.6rem 2rem;
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
		flex: none;
		max-width: 45%;
		overflow: hidden;
		text-overflow: ellipsis;
	}
</style>
