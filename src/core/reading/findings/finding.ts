import type { Answer } from '../../figure/figure';
import type { PackSet } from '../../packs/pack';
import type { Finding, LeafRanges, WaterLimits } from '../../schema-types';
import type { Site } from '../site';

export type { Finding };

/** What a check of the report may look at. */
export interface ReportContext {
	site: Site;
	cec: Answer;
	packs: PackSet;
	leafRanges?: readonly LeafRanges[] | undefined;
	waterLimits?: WaterLimits | undefined;
}

/** One check of the report: what it found, with the remedy; nothing where all is well. */
export type ReportCheck = (context: ReportContext) => Finding[];
