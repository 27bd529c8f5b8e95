<!-- What the lines of the nitrogen chart are. -->
<script lang="ts">
	const { laidOver }: { laidOver: boolean } = $props();
</script>

<div class="legend small" aria-hidden="true">
	<span><i class="yield"></i>yield</span>
	<span><i class="return"></i>return to nitrogen</span>
	{#if laidOver}<span><i class="other"></i>return at the other prices</span>{/if}
	<span><i class="band"></i>within $1 and $5 an acre of the best</span>
	<span><i class="left"></i>residual N</span>
</div>

<style>
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.1rem;
		margin-top: 0.7rem;
		color: var(--ink-soft);
	}
	.legend i {
		display: inline-block;
		width: 1.3rem;
		height: 0;
		border-top: 3px solid var(--ink);
		margin-right: 0.4rem;
		vertical-align: middle;
	}
	.legend .return {
		border-color: var(--action);
	}
	.legend .other {
		border-color: var(--accent);
		border-top-style: dashed;
	}
	.legend .left {
		border-color: var(--nutrient-n);
	}
	.legend .band {
		border-top-width: 10px;
		border-color: var(--accent-wash);
	}
</style>
