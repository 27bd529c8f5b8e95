<!-- A field on plain paper: no tiles, nothing fetched. Looks, draws, mends and measures; all it shows stands in lists beside it too. -->
<script lang="ts">
	import type { Map as OlMap } from 'ol';
	import type { Interaction } from 'ol/interaction';
	import { untrack } from 'svelte';
	import { areaAcres } from '$core/ground/shapes/geodesic-area';
	import type { RowLine } from '$core/ground/block/row-lines';
	import type { Shape } from '$core/ground/shapes/shape';
	import type { PlacedPoint } from '$core/schema-types';
	import type { ShownSurface } from '../../../../workers/ground-messages';
	import { loadMapParts, PROJECTIONS, shapeOfFeature, type MapParts } from './map-parts';
	import { cssColor, legendClasses, rampColor, shareOf } from './ramp';

	export type MapMode = 'look' | 'draw' | 'mend' | 'cut' | 'mend zone' | 'point' | 'measure' | 'measure area';
	interface Area {
		name: string;
		/** Written on it; its name where left out. */
		text?: string;
		shape: Shape;
		/** Share of the ramp from 0 to 1. */
		share: number;
	}
	interface Props {
		name: string;
		boundary: Shape | undefined;
		areas?: readonly Area[];
		/** Of an orchard: each from end to end. */
		rows?: readonly RowLine[];
		points?: readonly PlacedPoint[];
		surface?: ShownSurface | undefined;
		/** The area that stands out. */
		chosen?: string | undefined;
		mode?: MapMode;
		/** A shape was drawn, or the boundary or the chosen area mended. */
		drawn?: (shape: Shape) => void;
		measured?: (text: string) => void;
		/** A place was clicked: longitude and latitude. */
		placed?: (longitude: number, latitude: number) => void;
		pick?: (name: string) => void;
		/** What the view is about; the boundary where left out. */
		about?: Shape | undefined;
	}
	const {
		name,
		boundary,
		areas = [],
		rows = [],
		points = [],
		surface,
		chosen,
		mode = 'look',
		drawn,
		measured,
		placed,
		pick,
		about: viewed
	}: Props = $props();

	let element = $state<HTMLDivElement>();
	let parts = $state.raw<MapParts | undefined>();
	let map = $state.raw<OlMap | undefined>();
	let sources = $state.raw<ReturnType<typeof layersOf>['sources'] | undefined>();
	const color = (variable: string) => getComputedStyle(element!).getPropertyValue(variable).trim();

	$effect(() => {
		const target = element;
		if (!target) return;
		let made: OlMap | undefined;
		let gone = false;
		void loadMapParts().then((loaded) => {
			if (gone) return;
			const { layers, sources: own } = untrack(() => layersOf(loaded));
			made = new loaded.Map({
				target,
				layers,
				controls: [new loaded.controls.Zoom(), new loaded.controls.ScaleLine({ units: 'us' })],
				view: new loaded.View({ maxZoom: 20, center: [0, 0], zoom: 3 })
			});
			made.on('click', ({ pixel, coordinate }) => {
				if (mode === 'point') {
					const [x = NaN, y = NaN] = loaded.proj.toLonLat(coordinate);
					placed?.(Number(x.toFixed(7)), Number(y.toFixed(7)));
				}
				const area = made!.forEachFeatureAtPixel(pixel, (feature) => feature.get('area') as string | undefined);
				if (area && mode === 'look') pick?.(area);
			});
			parts = loaded;
			sources = own;
			map = made;
		});
		return () => {
			gone = true;
			made?.setTarget(undefined);
			map = undefined;
		};
	});

	function layersOf({ style, VectorLayer, VectorSource, VectorImageLayer, ImageLayer }: MapParts) {
		const own = {
			boundary: new VectorSource(),
			areas: new VectorSource(),
			points: new VectorSource(),
			sketch: new VectorSource()
		};
		const image = new ImageLayer({ opacity: 0.9 });
		const label = (text: string, size: number) =>
			new style.Text({
				text,
				font: `600 ${size}px ${getComputedStyle(element!).fontFamily}`,
				overflow: true,
				fill: new style.Fill({ color: color('--ink') }),
				stroke: new style.Stroke({ color: color('--sheet'), width: 3 })
			});
		const line = (width: number, dash?: number[]) =>
			new style.Stroke({ color: color('--action'), width, ...(dash ? { lineDash: dash } : {}) });
		return {
			sources: { ...own, image },
			layers: [
				new VectorLayer({
					source: own.boundary,
					style: (feature) =>
						new style.Style({
							...(feature.get('rows') ? {} : { fill: new style.Fill({ color: color('--action-wash') }) }),
							stroke: line(feature.get('rows') ? 0.7 : 2),
							...(feature.get('label') ? { text: label(String(feature.get('label')), 15) } : {})
						})
				}),
				image,
				new VectorLayer({
					source: own.areas,
					style: (feature) => {
						const strong = feature.get('area') === feature.get('chosen');
						return new style.Style({
							fill: new style.Fill({ color: cssColor(Number(feature.get('share')), 0.75) }),
							stroke: new style.Stroke({ color: color('--ink'), width: strong ? 3.5 : 1 }),
							text: label(String(feature.get('text')), 13)
						});
					}
				}),
				new VectorImageLayer({
					source: own.points,
					imageRatio: 1.5,
					style: (feature) =>
						new style.Style({
							image: new style.Circle({
								radius: feature.get('many') ? 2.5 : 6,
								fill: new style.Fill({ color: cssColor(Number(feature.get('share'))) }),
								...(feature.get('many') ? {} : { stroke: new style.Stroke({ color: color('--ink'), width: 1 }) })
							})
						})
				}),
				new VectorLayer({
					source: own.sketch,
					style: new style.Style({ stroke: line(2.5, [7, 5]), fill: new style.Fill({ color: cssColor(0.5, 0.2) }) })
				})
			]
		};
	}

	/** The boundary, and the view about it where it is a new one. */
	let shownBoundary = '';
	$effect(() => {
		if (!map || !sources || !parts) return;
		sources.boundary.clear();
		sources.sketch.clear();
		const about = viewed ?? boundary ?? areas[0]?.shape;
		if (boundary) {
			const [feature] = featuresOf(boundary);
			feature!.set('label', areas.length === 0 && !surface && points.length === 0 ? name : '');
			sources.boundary.addFeature(feature!);
			const { Feature, geom, proj } = parts;
			const lines = rows.map((row) => row.map((end) => proj.fromLonLat(end)));
			sources.boundary.addFeature(new Feature({ geometry: new geom.MultiLineString(lines), rows: true }));
		}
		const key = about ? JSON.stringify(about) : '';
		if (about && key !== shownBoundary) {
			const extent = featuresOf(about)[0]!.getGeometry()!.getExtent();
			map.getView().fit(extent, { padding: [40, 40, 52, 40], maxZoom: 19 });
		}
		shownBoundary = key;
	});

	$effect(() => {
		if (!sources || !parts) return;
		sources.areas.clear();
		for (const { name: area, text = area, shape, share } of areas) {
			const [feature] = featuresOf(shape);
			feature!.setProperties({ area, text, share, chosen });
			sources.areas.addFeature(feature!);
		}
	});

	$effect(() => {
		if (!sources || !parts) return;
		const { Feature, geom, proj } = parts;
		sources.points.clear();
		const classes = legendClasses(points.map(([, , value]) => value));
		const many = points.length > 400;
		sources.points.addFeatures(
			points.map(([x, y, value]) => {
				const feature = new Feature(new geom.Point(proj.fromLonLat([x, y])));
				feature.setProperties({ share: shareOf(value, classes), many });
				return feature;
			})
		);
	});

	$effect(() => {
		if (!sources || !parts) return;
		if (!surface) return void sources.image.setSource(null);
		const { proj, ImageStatic } = parts;
		const [west, south, east, north] = surface.bounds;
		sources.image.setSource(
			new ImageStatic({
				url: pictureOf(surface),
				imageExtent: [...proj.fromLonLat([west, south]), ...proj.fromLonLat([east, north])],
				interpolate: false
			})
		);
	});

	/** What the pointer does. */
	$effect(() => {
		const [on, loaded, own, what] = [map, parts, sources, mode];
		if (!on || !loaded || !own || what === 'look' || what === 'point') return;
		const { interactions } = loaded;
		const added: Interaction[] = [];
		if (what === 'mend' || what === 'mend zone') {
			// Read through what is shown: where that is drawn anew, the old feature is gone.
			const source = what === 'mend' ? boundary && own.boundary : areas.length > 0 ? own.areas : undefined;
			const feature = source?.getFeatures().find((one) => what === 'mend' || one.get('area') === chosen);
			if (!feature) return;
			const modify = new interactions.Modify({ features: new loaded.Collection([feature]) });
			modify.on('modifyend', () => drawn?.(shapeOfFeature(loaded, feature)));
			added.push(modify);
		} else {
			const type = what === 'measure' ? 'LineString' : 'Polygon';
			const draw = new interactions.Draw({ source: own.sketch, type });
			draw.on('drawstart', () => own.sketch.clear());
			draw.on('drawend', ({ feature }) => {
				if (what === 'draw' || what === 'cut') drawn?.(shapeOfFeature(loaded, feature));
				else measured?.(measureText(loaded, feature));
			});
			added.push(draw);
		}
		added.push(new interactions.Snap({ source: own.boundary }), new interactions.Snap({ source: own.areas }));
		for (const one of added) on.addInteraction(one);
		return () => {
			for (const one of added) on.removeInteraction(one);
			own.sketch.clear();
		};
	});

	function featuresOf(shape: Shape) {
		const { GeoJSON } = parts!;
		return new GeoJSON().readFeatures({ type: 'Feature', geometry: shape, properties: {} }, { ...PROJECTIONS });
	}

	const FEET_PER_M = 1 / 0.3048;
	function measureText(loaded: MapParts, feature: Parameters<typeof shapeOfFeature>[1]): string {
		const metres = loaded.sphere.getLength(feature.getGeometry()!);
		if (mode === 'measure') return `${Math.round(metres * FEET_PER_M)} ft (${Math.round(metres)} m)`;
		const acres = areaAcres(shapeOfFeature(loaded, feature));
		return `${acres.toFixed(1)} acres, ${Math.round(metres * FEET_PER_M)} ft around`;
	}

	/** Each cell a pixel, north up. */
	function pictureOf({ columns, rows, values }: ShownSurface): string {
		const canvas = document.createElement('canvas');
		[canvas.width, canvas.height] = [columns, rows];
		const context = canvas.getContext('2d')!;
		const picture = context.createImageData(columns, rows);
		const classes = legendClasses(values);
		for (let cell = 0; cell < values.length; cell++) {
			if (!Number.isFinite(values[cell])) continue;
			const row = rows - 1 - Math.floor(cell / columns);
			picture.data.set([...rampColor(shareOf(values[cell]!, classes)), 255], 4 * (row * columns + (cell % columns)));
		}
		context.putImageData(picture, 0, 0);
		return canvas.toDataURL();
	}
</script>

<div
	class="map paper-map"
	class:ready={map !== undefined}
	bind:this={element}
	role="region"
	aria-label={`Map of ${name}`}
></div>

<style>
	.map {
		position: absolute;
		inset: 0;
		background: var(--sheet);
		border: 1px solid var(--rule);
	}
</style>
