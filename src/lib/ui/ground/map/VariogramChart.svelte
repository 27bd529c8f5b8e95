<!-- How values differ with distance, and the model that kriging goes by. -->
<script lang="ts">
	import type { Variogram, VariogramBin } from '$core/zones/surface/variogram';
	import { formatNumber } from '$core/units/display';
	import Chart from '../../charts/Chart.svelte';
	import { variogramChart } from '../../charts/variogram';

	const { variogram }: { variogram: { fitted: Variogram; measured: VariogramBin[] } } = $props();
	const digits = (value: number) => formatNumber(Number(value.toPrecision(3)), 'ratio');
	const words = $derived.by(() => {
		const { model, nugget, partialSill, rangeM } = variogram.fitted;
		return `Variogram: ${model}, nugget ${digits(nugget)}, sill ${digits(nugget + partialSill)}, ${model === 'spherical' ? 'range' : 'distance parameter'} ${Math.round(rangeM)} m.`;
	});
</script>

<Chart option={variogramChart(variogram)} label={words} height="190px" />
<p class="soft small">{words}</p>
