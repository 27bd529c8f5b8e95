<!-- Ways with high-pH, calcareous and sodic ground, side by side. -->
<script lang="ts">
	import type { ReadingPage } from '$lib/server/pages/reading-page';
	import ListTable from '../tables/ListTable.svelte';

	const { ways }: { ways: NonNullable<NonNullable<ReadingPage['reading']>['highPh']> } = $props();
</script>

<section class="section" aria-label="High pH: ways side by side">
	<h2>High pH, salt or sodium: ways side by side</h2>
	<ListTable
		label="Ways with high pH"
		rows={ways}
		key={({ name }) => name}
		sortable={false}
		columns={[
			{ name: 'Way', of: ({ name }) => name, share: 16 },
			{ name: 'What it changes', of: ({ does }) => does, share: 42 },
			{ name: 'Amount', answer: ({ amount }) => amount },
			{ name: 'Years', answer: ({ years }) => years },
			{ name: 'Cost', answer: ({ cost }) => cost }
		]}
	/>
	<p class="soft small">Opinions differ; all of it is common practice. Amounts are for the plow layer, pure.</p>
</section>
