<!-- A word and a mark, never colour alone. -->
<script lang="ts">
	import { SEVERITY_WORD } from '$core/figure/severity-word';
	import type { Severity } from '$core/schema-types';

	const { severity }: { severity: Severity } = $props();
	const marks = { stop: '■', mind: '▲', note: '●' } as const;
</script>

<span class={severity}><span aria-hidden="true">{marks[severity]}</span> {SEVERITY_WORD[severity]}</span>

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
	span > span {
		font-size: 0.7rem;
	}
</style>
