<!-- A sample as the lab wrote it: analytes down, layers across. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import { methodName } from '$core/ground/lab-file/lab-methods';
	import type { Layer, Result } from '$core/schema-types';
	import { layerText } from '$core/units/length-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import ListTable from '../tables/ListTable.svelte';
	import { unitText } from '../figure/unit-text';

	const { layers, units }: { layers: Layer[]; units: UnitSystem } = $props();

	const rows = $derived(toRows(layers));

	/** One row for each analyte, method and unit, with a cell for each layer. */
	function toRows(all: Layer[]) {
		const keyOf = ({ analyte, method, unit }: Result) => `${analyte} ${method ?? ''} ${unit}`;
		const results = all.flatMap((layer) => layer.results);
		const firsts = results.filter((result, at) => results.findIndex((other) => keyOf(other) === keyOf(result)) === at);
		return firsts.map((first) => ({
			analyte: analyteName(first.analyte),
			method: first.method ? methodName(first.method) : '',
			unit: first.unit === 'pH' ? '' : unitText(first.unit),
			cells: all.map((layer) => layer.results.find((result) => keyOf(result) === keyOf(first)))
		}));
	}
</script>

<div class="sample">
	<ListTable
		label="The sample as the lab wrote it"
		{rows}
		sortable={false}
		columns={[
			{ name: 'Analyte', of: ({ analyte }) => analyte },
			{ name: 'Method', of: ({ method }) => method },
			{ name: 'Unit', of: ({ unit }) => unit },
			...layers.map((layer, at) => ({
				name: layerText(layer, units),
				of: ({ cells }: (typeof rows)[number]) => `${cells[at]?.qualifier ?? ''}${cells[at]?.value ?? ''}`,
				number: true
			}))
		]}
	/>
</div>

<style>
	.sample {
		max-width: 52rem;
	}
	.sample :global(td) {
		padding-top: 0.25rem !important;
		padding-bottom: 0.25rem !important;
	}
</style>
