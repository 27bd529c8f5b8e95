<!-- One line per column of the file: its header, an example, and what it means. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import { methodName, methodsOf } from '$core/ground/lab-methods';
	import type { Analyte, ColumnMeaning, LabMapping, LabMethod, ResultUnit } from '$core/schema-types';
	import { unitsOf } from '$core/units/result-units';
	import { unitText } from '../../figure/unit-text';

	interface Props {
		mapping: LabMapping;
		examples: string[];
		changed: () => void;
	}
	let { mapping = $bindable(), examples, changed }: Props = $props();

	const ROLES: ColumnMeaning['role'][] = [
		'ignore',
		'field',
		'grower',
		'sample number',
		'date',
		'depth',
		'top depth',
		'bottom depth'
	];
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

	const unset = $derived(mapping.columns.some(({ role, unit }) => role === 'result' && unit === undefined));

	function setMeaning(column: ColumnMeaning, value: string): void {
		delete column.method;
		delete column.unit;
		delete column.analyte;
		if (value.startsWith('=')) {
			column.role = 'result';
			column.analyte = value.slice(1) as Analyte;
			const units = unitsOf(column.analyte);
			if (units.length === 1 || units[0] !== 'ppm') column.unit = units[0];
		} else {
			column.role = value as ColumnMeaning['role'];
		}
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
	<label>
		Sampled depth, where no column says it:
		<input
			inputmode="decimal"
			aria-label="Top of the sampled depth"
			type="number"
			min="0"
			bind:value={mapping.depth.top}
			oninput={changed}
		/>
		to
		<input
			inputmode="decimal"
			aria-label="Bottom of the sampled depth"
			type="number"
			min="0"
			bind:value={mapping.depth.bottom}
			oninput={changed}
		/>
	</label>
	<select aria-label="Unit of depth" bind:value={mapping.depth.unit} onchange={changed}>
		<option value="in">in</option>
		<option value="cm">cm</option>
	</select>
	<label>
		Dates are written
		<select bind:value={mapping.dateOrder} onchange={changed}>
			<option value="year-month-day">year-month-day</option>
			<option value="month-day-year">month-day-year</option>
			<option value="day-month-year">day-month-year</option>
		</select>
	</label>
	{#if unset}
		<label>
			Set every unit not named to
			<select
				aria-label="Set every unit not named"
				onchange={(event) => setAll(event.currentTarget.value as ResultUnit)}
			>
				<option value="">choose</option>
				<option value="ppm">ppm</option>
				<option value="mg/kg">mg/kg</option>
				<option value="lb/ac">lb/ac in the layer</option>
				<option value="lb/ac-furrow">lb/ac (ppm x 2)</option>
				<option value="kg/ha">kg/ha</option>
			</select>
		</label>
	{/if}
</div>

<div class="columns">
	{#each mapping.columns as column, index (index)}
		<div class="column" class:ignored={column.role === 'ignore'}>
			<div class="header">
				<strong>{column.header || `column ${index + 1}`}</strong>
				<span class="soft small">{examples[index]}</span>
			</div>
			<select
				aria-label={`Meaning of ${column.header}`}
				value={column.role === 'result' ? `=${column.analyte}` : column.role}
				onchange={(event) => setMeaning(column, event.currentTarget.value)}
			>
				<optgroup label="About the sample">
					{#each ROLES as role (role)}<option value={role}>{role}</option>{/each}
				</optgroup>
				<optgroup label="A result">
					{#each ANALYTES as analyte (analyte)}<option value={`=${analyte}`}>{analyteName(analyte)}</option>{/each}
				</optgroup>
			</select>
			{#if column.role === 'result' && column.analyte}
				{@const methods = methodsOf(column.analyte)}
				{#if methods.length > 0}
					<select
						aria-label={`Method of ${column.header}`}
						value={column.method ?? ''}
						onchange={(event) => {
							const method = event.currentTarget.value;
							if (method) column.method = method as LabMethod;
							else delete column.method;
							changed();
						}}
					>
						<option value="">method not named</option>
						{#each methods as method (method)}<option value={method}>{methodName(method)}</option>{/each}
					</select>
				{/if}
				<select
					aria-label={`Unit of ${column.header}`}
					class:missing={column.unit === undefined}
					value={column.unit ?? ''}
					onchange={(event) => {
						column.unit = event.currentTarget.value as ResultUnit;
						changed();
					}}
				>
					{#if column.unit === undefined}<option value="">say the unit</option>{/if}
					{#each unitsOf(column.analyte) as unit (unit)}<option value={unit}>{unitText(unit)}</option>{/each}
				</select>
			{/if}
		</div>
	{/each}
</div>

<style>
	.defaults {
		align-items: center;
		gap: 0.5rem 1.2rem;
		margin-bottom: 0.8rem;
		font-size: 0.92rem;
	}
	input {
		width: 4rem;
	}
	input,
	select {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		padding: 0.25rem 0.35rem;
		font-size: 0.9rem;
		color: var(--ink);
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
	.missing {
		border: 2px solid var(--stop);
	}
</style>
