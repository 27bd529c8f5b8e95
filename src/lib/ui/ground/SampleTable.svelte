<!-- A sample as the lab wrote it: analytes down, layers across. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import { methodName } from '$core/ground/lab-methods';
	import type { Layer, Result } from '$core/schema-types';
	import { unitText } from '../figure/unit-text';

	const { layers }: { layers: Layer[] } = $props();

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

<table class="ledger">
	<thead>
		<tr>
			<th>Analyte</th>
			<th>Method</th>
			<th>Unit</th>
			{#each layers as layer, at (at)}<th class="num">{layer.top}-{layer.bottom} {layer.depthUnit}</th>{/each}
		</tr>
	</thead>
	<tbody>
		{#each rows as row, index (index)}
			<tr>
				<td>{row.analyte}</td>
				<td class="soft">{row.method}</td>
				<td class="soft">{row.unit}</td>
				{#each row.cells as cell, at (at)}<td class="num">{cell ? `${cell.qualifier ?? ''}${cell.value}` : ''}</td
					>{/each}
			</tr>
		{/each}
	</tbody>
</table>

<style>
	table {
		max-width: 52rem;
	}
	td {
		padding-top: 0.25rem;
		padding-bottom: 0.25rem;
	}
</style>
