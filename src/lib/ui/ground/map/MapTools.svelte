<!-- What can be measured on the map, and what was. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { MapMode } from './GroundMap.svelte';

	interface Props {
		mode: MapMode;
		/** The length or area in words; empty while nothing is measured. */
		measured: string;
		setMode: (to: MapMode) => void;
	}
	const { mode, measured, setMode }: Props = $props();
</script>

<div class="tools" role="toolbar" aria-label="Map">
	<Button
		size="small"
		kind={mode === 'measure' ? 'primary' : 'ghost'}
		onclick={() => setMode(mode === 'measure' ? 'look' : 'measure')}>Measure a line</Button
	>
	<Button
		size="small"
		kind={mode === 'measure area' ? 'primary' : 'ghost'}
		onclick={() => setMode(mode === 'measure area' ? 'look' : 'measure area')}>Measure an area</Button
	>
	<span role="status">{measured || (mode.startsWith('measure') ? 'Click along it; click twice at the end.' : '')}</span>
</div>

<style>
	.tools {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		margin-bottom: 0.3rem;
	}
</style>
