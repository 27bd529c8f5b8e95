<!-- What keeps a guide from being taken, each with the line of its text. -->
<script lang="ts">
	import type { GuideProblem } from './send-guide';

	const { problems }: { problems: readonly GuideProblem[] } = $props();
</script>

<ul>
	{#each problems as { line, path, message }, index (index)}
		<li>
			{#if line}<strong>Line {line}:</strong>{/if}
			<code>{path || '/'}</code>
			{message}
		</li>
	{/each}
</ul>

<style>
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
</style>
