import type { AdviseRequest, Crop } from '../schema-types';
import type { SoilLayer } from './soil-layers';

/** A field, its soil and its crop as every rule sees them: complete, checked, layers from the top down. */
export interface Site {
	crop: Crop;
	yieldGoal: number;
	previousCrop: AdviseRequest['crop']['previousCrop'];
	layers: readonly SoilLayer[];
	/** Day the sample was taken, YYYY-MM-DD. */
	sampleDate: string | undefined;
	/** The day on which the sample's age is judged, YYYY-MM-DD. */
	asOf: string;
	field: AdviseRequest['field'];
	targetPh: number | undefined;
	limeDepthIn: number | undefined;
	limingMaterial: AdviseRequest['limingMaterial'];
}
