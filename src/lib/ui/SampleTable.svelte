<!-- A sample as the lab wrote it: analytes down, layers across. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import { methodName } from '$core/ground/lab-methods';
	import type { Layer, Result } from '$core/schema-types';

	const { layers }: { layers: Layer[] } = $props();

	const rows = $derived.by(() => {
		const seen = new Map<string, { analyte: string; method: string; unit: string; cells: (Result | undefined)[] }>();
		layers.forEach(({ results }, at) => {
			for (const result of results) {
				const key = `${result.analyte} ${result.method ?? ''} ${result.unit}`;
				const row = seen.get(key) ?? {
					analyte: analyteName(result.analyte),
					method: result.method ? methodName(result.method) : '',
					unit: unitText(result.unit),
					cells: layers.map(() => undefined)
				};
				row.cells[at] = result;
				seen.set(key, row);
			}
		});
		return [...seen.values()];
	});

	function unitText(unit: Result['unit']): string {
		if (unit === 'pH' || unit === '') return '';
		if (unit === 'lb/ac-furrow') return 'lb/ac (ppm x 2)';
		return unit === 'meq/100g' ? 'meq/100 g' : unit;
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
