<script lang="ts">
	import type { Finding } from '$core/schema-types';
	import Severity from '../figure/Severity.svelte';

	const { findings }: { findings: Finding[] } = $props();
</script>

{#if findings.length === 0}
	<p>Nothing: the report is complete for this crop.</p>
{:else}
	<ul>
		{#each findings as { severity, text, remedy }, index (index)}
			<li>
				<Severity {severity} />
				<span>{text} <span class="soft">{remedy}</span></span>
			</li>
		{/each}
	</ul>
{/if}

<style>
	ul {
		list-style: none;
		padding: 0;
		margin: 0;
		max-width: 60rem;
	}
	li {
		display: grid;
		grid-template-columns: 5.6rem 1fr;
		gap: 0.5rem;
		padding: 0.4rem 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
