<!-- The sign of a severity; its word stands beside it, so it is not read out. -->
<script lang="ts">
	import CircleFilled from 'carbon-icons-svelte/lib/CircleFilled.svelte';
	import StopFilledAlt from 'carbon-icons-svelte/lib/StopFilledAlt.svelte';
	import WarningAltFilled from 'carbon-icons-svelte/lib/WarningAltFilled.svelte';
	import type { Severity } from '$core/schema-types';

	const { severity = 'mind' }: { severity?: Severity } = $props();
	const SIGNS = { stop: StopFilledAlt, mind: WarningAltFilled, note: CircleFilled };
	const Sign = $derived(SIGNS[severity]);
</script>

<Sign class="sign" size={16} aria-hidden="true" />

<style>
	:global(svg.sign) {
		width: 0.95em;
		height: 0.95em;
		vertical-align: -0.1em;
		fill: currentColor;
	}
</style>
