import type { AdviseRequest, CoverCropFacts, Crop, PackDocument } from '../schema-types';

/** A field with a goal and a sample in the planning year, and the request its rates come from. */
export interface OpenField {
	id: string;
	name: string;
	grower: string;
	request: AdviseRequest;
}

/** What a worker needs to work out the rates of all open fields by itself. */
export interface OpenFields {
	year: number;
	today: string;
	crops: readonly Crop[];
	coverCrops: CoverCropFacts;
	guides: PackDocument[];
	fields: OpenField[];
}
