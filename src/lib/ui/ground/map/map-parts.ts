// OpenLayers stays out of the first page: it is loaded when a map is shown.
import type { Shape } from '$core/ground/shapes/shape';

export async function loadMapParts() {
	const [
		ol,
		VectorLayer,
		VectorSource,
		VectorImage,
		ImageLayer,
		Static,
		GeoJSON,
		style,
		controls,
		interactions,
		proj,
		sphere,
		Feature,
		geom
	] = await Promise.all([
		import('ol'),
		import('ol/layer/Vector.js'),
		import('ol/source/Vector.js'),
		import('ol/layer/VectorImage.js'),
		import('ol/layer/Image.js'),
		import('ol/source/ImageStatic.js'),
		import('ol/format/GeoJSON.js'),
		import('ol/style.js'),
		import('ol/control.js'),
		import('ol/interaction.js'),
		import('ol/proj.js'),
		import('ol/sphere.js'),
		import('ol/Feature.js'),
		import('ol/geom.js')
	]);
	return {
		Map: ol.Map,
		Collection: ol.Collection,
		View: ol.View,
		VectorLayer: VectorLayer.default,
		VectorSource: VectorSource.default,
		VectorImageLayer: VectorImage.default,
		ImageLayer: ImageLayer.default,
		ImageStatic: Static.default,
		GeoJSON: GeoJSON.default,
		Feature: Feature.default,
		style,
		controls,
		interactions,
		proj,
		sphere,
		geom
	};
}

export type MapParts = Awaited<ReturnType<typeof loadMapParts>>;

/** The book holds degrees, the map draws metres. */
export const PROJECTIONS = { dataProjection: 'EPSG:4326', featureProjection: 'EPSG:3857' } as const;

const DECIMALS = 7;

/** A drawn shape as the book holds it. */
export function shapeOfFeature({ GeoJSON }: MapParts, feature: InstanceType<MapParts['Feature']>): Shape {
	return new GeoJSON({ ...PROJECTIONS }).writeGeometryObject(feature.getGeometry()!, {
		...PROJECTIONS,
		decimals: DECIMALS,
		rightHanded: true
	}) as Shape;
}
