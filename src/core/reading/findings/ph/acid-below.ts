import { formatNumber } from '../../../units/display';
import { ACID_BELOW, aluminiumShare, readProfile } from '../../soil/acid-layers';
import { isOrganicSoil } from '../../soil/organic-matter';
import { PH_SCALE_NAME } from '../../soil/ph-scale';
import type { ReportCheck } from '../finding';
import { CM_PER_IN } from '../../../units/factors';

/** Under this surface pH (CaCl2) the layers below are worth asking for: common practice. */
const ASK_BELOW_CACL2 = 5.8;
/** A sample that stops above this says nothing of the root zone below: 10 cm, common practice of layered sampling. */
const SURFACE_ONLY_IN = 10 / CM_PER_IN;
const SLACK_IN = 0.05;
/** Aluminium above this share of CEC stunts sensitive roots: common practice. */
const ALUMINIUM_PERCENT = 10;

/** Acid ground that the surface does not show. */
export const acidBelow: ReportCheck = ({ site: { soil } }) => {
	const { scale, layers: profile, hidden } = readProfile(soil);
	if (hidden.length === 0) return [];
	const [top, unit] = [hidden[0]!.depthText.split('-')[0], hidden[0]!.depthText.split(' ')[1]];
	const from = `${top} ${unit}`;
	const worst = Math.min(...hidden.map(({ ph }) => ph));
	const where = hidden.map(({ depthText, ph }) => `${formatNumber(ph, 'pH')} at ${depthText}`).join(', ');
	return [
		{
			code: 'acid-band',
			severity: 'mind',
			text: `An acid band lies under a surface of pH ${formatNumber(profile[0]!.ph, 'pH')} (${PH_SCALE_NAME[scale]}): ${where}.`,
			remedy:
				worst < ACID_BELOW[scale].aluminium
					? `Aluminium likely stunts the roots from ${from} down. Lime each layer; where it cannot be worked in, keep the surface above pH 5.5 in CaCl2 so that lime moves down.`
					: `Lime each layer; lime on top moves down only where the surface stays above pH 5.5 in CaCl2.`
		}
	];
};

/** One shallow or acid layer alone: what lies below it is not known. */
export const askForLayers: ReportCheck = ({ site: { soil } }) => {
	const { scale, layers: profile } = readProfile(soil);
	const top = profile[0];
	if (!top || profile.length > 1) return [];
	const shallow = top.bottomIn < SURFACE_ONLY_IN - SLACK_IN;
	const acid = scale === 'cacl2' && top.ph < ASK_BELOW_CACL2;
	if (!shallow && !acid) return [];
	const reads = `pH ${formatNumber(top.ph, 'pH')} in ${PH_SCALE_NAME[scale]}`;
	return [
		{
			code: 'ask-for-layers',
			severity: 'mind',
			text: acid
				? `Only ${top.depthText} was sampled, at ${reads}: an acid band may lie below.`
				: `Only the top ${top.depthText} was sampled (${reads}); an acid band below it would not show.`,
			remedy: 'Sample in layers of 5 cm down to 20 cm, and have pH measured in each.'
		}
	];
};

/** Aluminium by pH in a layer that is not hidden, or by the lab's own share. */
export const aluminium: ReportCheck = ({ site: { soil } }) => {
	// Organic soil holds little aluminium, however acid.
	if (isOrganicSoil(soil)) return [];
	const { scale, layers: profile } = readProfile(soil);
	const surface = profile[0];
	const share = aluminiumShare(soil);
	const reasons = [
		...(surface?.aluminium
			? [`pH ${formatNumber(surface.ph, 'pH')} in ${PH_SCALE_NAME[scale]} at ${surface.depthText}`]
			: []),
		...(share.applies && share.value > ALUMINIUM_PERCENT
			? [`aluminium fills ${formatNumber(share.value, '%')} % of CEC`]
			: [])
	];
	if (reasons.length === 0) return [];
	return [
		{
			code: 'aluminium',
			severity: 'mind',
			text: `Aluminium likely stunts the roots: ${reasons.join('; ')}.`,
			remedy:
				'Lime first; other nutrients pay little until roots can grow. Manganese may add to it in wet, warm spells.'
		}
	];
};
