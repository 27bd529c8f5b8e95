<!-- Every field with a boundary, on plain paper: no tiles, nothing fetched from outside. Lists beside it hold the same. -->
<script lang="ts">
	import type { Map as OlMap } from 'ol';
	import { untrack } from 'svelte';
	import { loadMapParts, PROJECTIONS } from './map-parts';

	interface Props {
		/** A field that stands out, by its id. */
		chosen: string | undefined;
		/** The colour of each field, by its id. */
		colors: ReadonlyMap<string, string>;
		open: (id: string) => void;
		/** How many fields are on the map, or what went wrong. */
		loaded: (count: number | string) => void;
	}
	const { chosen, colors, open, loaded }: Props = $props();

	let element = $state<HTMLDivElement>();
	let recolor = $state.raw<(() => void) | undefined>();
	let focus = $state.raw<((id: string | undefined) => void) | undefined>();

	$effect(() => {
		const target = element;
		if (!target) return;
		let map: OlMap | undefined;
		let gone = false;
		void (async () => {
			const [parts, response] = await Promise.all([loadMapParts(), fetch('/map/fields')]);
			if (!response.ok) return loaded(`The map could not be read (${response.status}).`);
			const features = new parts.GeoJSON().readFeatures(await response.json(), { ...PROJECTIONS });
			if (gone) return;
			const color = (name: string) => getComputedStyle(target).getPropertyValue(name).trim();
			const { style, VectorSource, VectorImageLayer, VectorLayer } = parts;
			const source = new VectorSource({ features });
			const stroke = new style.Stroke({ color: color('--ink'), width: 1 });
			/** One style for each colour, made once. */
			const styles: Record<string, InstanceType<typeof style.Style>> = {};
			const plain = (id: unknown) => {
				const own = untrack(() => colors.get(String(id))) ?? color('--action-wash');
				return (styles[own] ??= new style.Style({ fill: new style.Fill({ color: own }), stroke }));
			};
			const text = (words: string) =>
				new style.Text({
					text: words,
					overflow: true,
					font: `500 13px ${getComputedStyle(target).fontFamily}`,
					fill: new style.Fill({ color: color('--ink') }),
					stroke: new style.Stroke({ color: color('--sheet'), width: 3 })
				});
			const strong = new style.Style({
				stroke: new style.Stroke({ color: color('--stop'), width: 3.5 })
			});
			const marked = new VectorSource();
			/** Names are drawn where a field is large enough to hold them, metres to a pixel. */
			const NAMED_BELOW = 12;
			map = new parts.Map({
				target,
				layers: [
					// Drawn once into a picture that is moved along: thousands of fields pan as one.
					new VectorImageLayer({
						source,
						imageRatio: 2,
						declutter: true,
						style: (feature, resolution) =>
							resolution < NAMED_BELOW
								? [plain(feature.getId()), new style.Style({ text: text(String(feature.get('name'))) })]
								: plain(feature.getId())
					}),
					new VectorLayer({ source: marked, style: strong })
				],
				controls: [new parts.controls.Zoom(), new parts.controls.ScaleLine({ units: 'us' })],
				view: new parts.View({ maxZoom: 18, center: [0, 0], zoom: 3 })
			});
			const extent = source.getExtent();
			if (features.length > 0 && extent) map.getView().fit(extent, { padding: [30, 30, 40, 30] });
			map.on('singleclick', ({ pixel }) => {
				const id = map!.forEachFeatureAtPixel(pixel, (feature) => feature.getId());
				if (id !== undefined) open(String(id));
			});
			focus = (id) => {
				marked.clear();
				const found = id === undefined ? null : source.getFeatureById(id);
				if (!found || !map) return;
				const one = Array.isArray(found) ? found[0]! : found;
				marked.addFeature(one);
				map.getView().fit(one.getGeometry()!.getExtent(), { padding: [120, 120, 120, 120], maxZoom: 15 });
			};
			recolor = () => source.changed();
			loaded(features.length);
		})();
		return () => {
			gone = true;
			map?.setTarget(undefined);
		};
	});

	$effect(() => focus?.(chosen));
	$effect(() => {
		if (colors) recolor?.();
	});
</script>

<div class="map paper-map" bind:this={element} role="region" aria-label="Map of all fields"></div>

<style>
	.map {
		position: absolute;
		inset: 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
</style>
