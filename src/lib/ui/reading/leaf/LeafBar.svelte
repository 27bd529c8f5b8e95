<!-- A value of a leaf test on its range: the range shaded, the value a mark. -->
<script lang="ts">
	import type { LeafVerdict } from '$core/reading/leaf/read-leaf';

	const { verdict }: { verdict: LeafVerdict } = $props();
	const low = $derived(verdict.range.low);
	const high = $derived(verdict.range.high ?? 2 * low);
	/** As far below the range as above it, where the value lets it. */
	const from = $derived(Math.max(0, Math.min(low - (high - low), verdict.value)));
	const to = $derived(Math.max(high + (high - low), verdict.value));
	const place = (value: number) => `${(100 * (value - from)) / (to - from)}%`;
</script>

<span class="bar" class:off={verdict.off !== undefined} aria-hidden="true">
	<i style:left={place(low)} style:right={`calc(100% - ${place(high)})`}></i>
	<b style:left={place(verdict.value)}></b>
</span>

<style>
	.bar {
		position: relative;
		display: block;
		width: 100%;
		min-width: 7rem;
		height: 0.9rem;
		border-bottom: 1px solid var(--rule-strong);
	}
	i {
		position: absolute;
		inset-block: 0.15rem 0;
		background: color-mix(in srgb, var(--action) 24%, transparent);
	}
	b {
		position: absolute;
		top: 0;
		bottom: 0;
		width: 3px;
		margin-left: -1.5px;
		background: var(--action);
	}
	.off b {
		background: var(--accent-ink);
	}
</style>
