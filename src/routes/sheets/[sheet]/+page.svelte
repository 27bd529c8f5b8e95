<script lang="ts">
	import SheetView from '$lib/ui/sheet/SheetView.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
</script>

<div class="page">
	<p class="no-print">
		As issued; later changes do not touch it. <a href={`/sheets/${data.id}/pdf`} download>PDF</a>,
		<a href={`/sheets/${data.id}/csv`} download>CSV</a>, <a href={`/sheets/${data.id}/ics`} download>calendar</a>,
		<a href={`/sheets/${data.id}/orders`} download>work orders</a>
	</p>
	<SheetView content={data.content} number={data.number} />
</div>
