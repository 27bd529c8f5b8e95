import { siteInputs, type InputReaders } from '../reading/site-inputs';
import { readEffectiveFraction, readLimeDepth } from './lime/liming-material';
import { readCredits } from './nitrogen/credits';

/** How every input of a rate rule is found on a site. */
export const inputReaders: InputReaders = {
	...siteInputs,
	credits: readCredits,
	effectiveFraction: readEffectiveFraction,
	limeDepthIn: readLimeDepth
};
