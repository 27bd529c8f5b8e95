<script lang="ts">
	import CoverPart from '$lib/ui/supply/palm-estate/CoverPart.svelte';
	import NurseryPart from '$lib/ui/supply/palm-estate/NurseryPart.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
</script>

<div class="page">
	<h1>Palm nursery and cover</h1>
	<div class="parts">
		<NurseryPart estate={data.palmEstate} product={data.names.nursery} today={data.today} />
		<CoverPart cover={data.palmEstate.cover} names={data.names} />
	</div>
</div>

<style>
	.parts {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
		gap: 2.4rem;
	}
	@media (max-width: 900px) {
		.parts {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
