import type { Answer } from '../figure/figure';
import type {
	AdviseRequest,
	Block,
	BlockYear,
	Crop,
	FieldIrrigation,
	InSeason,
	NitrogenPass,
	NitrogenTerms,
	StripZone
} from '../schema-types';
import type { UnitSystem } from '../units/rate-units';
import type { SampledSoil } from './soil/sampled-soil';

/** A field, its soil and its crop as every rule sees them: complete, checked, layers from the top down. */
export interface Site {
	/** In which what is said of it speaks; every number is kept and computed in US units. */
	units: UnitSystem;
	crop: Crop;
	yieldGoal: number;
	previousCrop: AdviseRequest['crop']['previousCrop'];
	soil: SampledSoil;
	/** Older samples of the field, the newest first. */
	earlier: readonly { date: string | undefined; soil: SampledSoil }[];
	/** Share of the straw or stover that is taken off the field, 0 to 1. */
	residueShare: number;
	/** The nitrogen settled on, lb/ac. */
	nitrogenRate: number | undefined;
	/** $ per yield unit and per lb N. */
	prices: { grain: number | undefined; nitrogen: number | undefined };
	/** What the adviser wants of nitrogen, and what else brings some. */
	nitrogen: NitrogenTerms;
	/** What a cover crop of legumes leaves for the crop; undefined where there was none. */
	coverNitrogen: Answer | undefined;
	/** Undefined where no water is put on, or none is known of. */
	irrigation: FieldIrrigation | undefined;
	/** Nitrogen passes planned or applied; undefined where no programme is known. */
	programme: readonly NitrogenPass[] | undefined;
	/** What was found in the standing crop. */
	inSeason: InSeason;
	/** The zone that is being worked, where N-rich and zero-N strips were read by zone. */
	zone: StripZone | undefined;
	/** Day the sample was taken, YYYY-MM-DD. */
	sampleDate: string | undefined;
	/** The day on which the sample's age is judged, YYYY-MM-DD. */
	asOf: string;
	field: AdviseRequest['field'];
	targetPh: number | undefined;
	targetPhScale: AdviseRequest['targetPhScale'];
	limeDepthIn: number | undefined;
	limePlacement: NonNullable<AdviseRequest['limePlacement']>;
	limingMaterial: AdviseRequest['limingMaterial'];
	/** The planting of a perennial, and what holds of it in the year of the crop. */
	block: Block | undefined;
	blockYear: BlockYear;
	cropYear: number;
	areaAc: number | undefined;
}
