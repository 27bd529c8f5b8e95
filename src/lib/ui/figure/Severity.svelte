<!-- A word and a mark, never colour alone. -->
<script lang="ts">
	import Mark from './Mark.svelte';
	import { SEVERITY_WORD } from '$core/figure/severity-word';
	import type { Severity } from '$core/schema-types';

	const { severity }: { severity: Severity } = $props();
</script>

<span class={severity}><Mark {severity} /> {SEVERITY_WORD[severity]}</span>

<style>
	span {
		font-weight: 650;
		font-size: 0.84rem;
		white-space: nowrap;
	}
	.stop {
		color: var(--stop);
	}
	.mind {
		color: var(--accent-ink);
	}
	.note {
		color: var(--note);
	}
</style>
