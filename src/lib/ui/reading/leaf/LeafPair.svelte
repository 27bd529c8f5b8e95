<!-- Leaves of a bad and a good spot side by side, what differs most first, and the soil of both. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import { areAlike } from '$core/reading/leaf/read-leaf';
	import { leafUnit } from '$core/units/leaf-units';
	import type { LeafAnswer, ResultUnit } from '$core/schema-types';
	import { unitText } from '../../figure/unit-text';
	import ListTable from '../../tables/ListTable.svelte';

	const { pair, soil = [] }: { pair: NonNullable<LeafAnswer['pair']>; soil?: NonNullable<LeafAnswer['soil']> } =
		$props();
	const apart = $derived(pair.filter((one) => !areAlike(one)));
	const alike = $derived(pair.filter(areAlike).map(({ element }) => element));
	const widths = (apart: number) => `${Math.abs(apart).toFixed(2)} ${apart < 0 ? 'lower' : 'higher'}`;
	const soilUnit = (unit: ResultUnit) => (unit === 'pH' ? '' : ` ${unitText(unit)}`);
</script>

{#if apart.length > 0}
	<ListTable
		label="Leaves of the bad spot beside the good one"
		rows={apart}
		key={({ element }) => element}
		sortable={false}
		columns={[
			{ name: 'Leaves', of: ({ element }) => element },
			{ name: 'Bad spot', of: ({ element, bad }) => `${bad} ${leafUnit(element)}`, number: true },
			{ name: 'Good spot', of: ({ element, good }) => `${good} ${leafUnit(element)}`, number: true },
			{ name: 'Good spot, in widths of the range', of: ({ apart }) => widths(apart) }
		]}
	/>
{/if}
{#if alike.length > 0}<p class="soft small">Alike in both spots: {alike.join(', ')}.</p>{/if}
{#if soil.length > 0}
	<ListTable
		label="Soil of the bad spot beside the good one"
		rows={soil}
		key={({ analyte, unit }) => `${analyte} ${unit}`}
		sortable={false}
		columns={[
			{ name: 'Soil', of: ({ analyte }) => analyteName(analyte) },
			{ name: 'Bad spot', of: ({ bad, unit }) => `${bad}${soilUnit(unit)}`, number: true },
			{ name: 'Good spot', of: ({ good, unit }) => `${good}${soilUnit(unit)}`, number: true }
		]}
	/>
{/if}
