<!-- The boundary on plain paper: no tiles, nothing fetched. -->
<script lang="ts">
	import type { Map as OlMap } from 'ol';

	const { boundary, name }: { boundary: unknown; name: string } = $props();
	let element = $state<HTMLDivElement>();

	$effect(() => {
		const target = element;
		const shape = boundary;
		if (!target || !shape) return;
		let map: OlMap | undefined;
		let gone = false;
		void draw(target, shape).then((drawn) => {
			if (gone) drawn.setTarget(undefined);
			else map = drawn;
		});
		return () => {
			gone = true;
			map?.setTarget(undefined);
		};
	});

	async function draw(target: HTMLDivElement, shape: unknown): Promise<OlMap> {
		const [
			{ Map: OlMapClass, View },
			{ default: VectorLayer },
			{ default: VectorSource },
			{ default: GeoJSON },
			style,
			controls
		] = await Promise.all([
			import('ol'),
			import('ol/layer/Vector.js'),
			import('ol/source/Vector.js'),
			import('ol/format/GeoJSON.js'),
			import('ol/style.js'),
			import('ol/control.js')
		]);
		const css = getComputedStyle(target);
		const source = new VectorSource({
			features: new GeoJSON().readFeatures(
				{ type: 'Feature', geometry: shape, properties: {} },
				{ dataProjection: 'EPSG:4326', featureProjection: 'EPSG:3857' }
			)
		});
		const boundaryStyle = new style.Style({
			fill: new style.Fill({ color: css.getPropertyValue('--action-wash').trim() }),
			stroke: new style.Stroke({ color: css.getPropertyValue('--action').trim(), width: 2 }),
			text: new style.Text({
				text: name,
				font: `600 15px ${css.fontFamily}`,
				fill: new style.Fill({ color: css.getPropertyValue('--ink').trim() })
			})
		});
		const drawn = new OlMapClass({
			target,
			layers: [new VectorLayer({ source, style: boundaryStyle })],
			controls: [new controls.Zoom(), new controls.ScaleLine({ units: 'us' })],
			view: new View({ maxZoom: 19 })
		});
		const extent = source.getExtent();
		if (extent) drawn.getView().fit(extent, { padding: [36, 36, 48, 36] });
		return drawn;
	}
</script>

{#if boundary}
	<div class="map" bind:this={element} role="region" aria-label={`Map of ${name}`}></div>
{:else}
	<div class="empty">
		<h2>No boundary yet</h2>
		<p>
			The plan works without one. Give the area under “Change the facts”, so that totals for the whole field can be
			shown.
		</p>
	</div>
{/if}

<style>
	.map {
		position: absolute;
		inset: 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
	.map :global(.ol-zoom) {
		position: absolute;
		top: 0.6rem;
		left: 0.6rem;
		display: grid;
		gap: 2px;
	}
	.map :global(.ol-zoom button) {
		width: 1.8rem;
		height: 1.8rem;
		background: var(--paper);
		border: 1px solid var(--rule-strong);
		color: var(--ink);
		font-size: 1.1rem;
		cursor: pointer;
	}
	.map :global(.ol-scale-line) {
		position: absolute;
		left: 0.6rem;
		bottom: 0.5rem;
	}
	.map :global(.ol-scale-line-inner) {
		border: 1px solid var(--ink-soft);
		border-top: 0;
		text-align: center;
		font-size: 0.8rem;
	}
	.map :global(.ol-overlaycontainer-stopevent) {
		position: absolute;
		inset: 0;
		pointer-events: none !important;
	}
	.map :global(.ol-overlaycontainer-stopevent > *) {
		pointer-events: auto;
	}
</style>
