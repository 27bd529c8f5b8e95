import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CoverCropFacts, LegumeCover } from '../../schema-types';

const LABEL = 'legume cover crop';

/**
 * Nitrogen that a killed cover crop of legumes leaves for the crop of the year, lb/ac: dry matter x % N x the share that becomes available.
 * Dry matter was weighed, or is judged by height and the ground covered: 2,000 lb/ac at 6 in and 150 lb more for each inch. Managing Cover
 * Crops Profitably, SARE 2007, from memory.
 * @returns does not apply where neither dry matter nor height is known, or the height lies outside what the estimate holds for
 */
export function coverNitrogen(cover: LegumeCover, { legume: facts }: CoverCropFacts): Answer {
	const standing = dryMatter(cover, facts);
	if (!standing.applies) return standing;
	const { basis, citation } = facts;
	const percent = (label: string, typed: number | undefined, usual: number) =>
		typed === undefined
			? figure({ label, value: usual, unit: '%', basis, citation })
			: figure({ label, value: typed, unit: '%', basis: 'adviser' });
	const content = percent(
		'N in the dry matter',
		cover.nitrogenPercent,
		facts.nitrogenPercent[cover.inFlower ? 'inFlower' : 'beforeFlower']
	);
	const share = percent(
		cover.left === 'incorporated' ? 'share for this crop, worked in' : 'share for this crop, left on the surface',
		cover.availablePercent,
		facts.availablePercent[cover.left ?? 'surface']
	);
	const legumes = cover.legumePercent === undefined ? [] : [percent('legumes in it', cover.legumePercent, 100)];
	const shares = [content, share, ...legumes].reduce((all, { value }) => (all * value) / 100, 1);
	return figure({
		label: LABEL,
		value: standing.value * shares,
		unit: 'lb/ac',
		formula: `dry matter x N % x ${legumes.length > 0 ? 'legumes % x ' : ''}share %`,
		inputs: [standing, content, ...legumes, share],
		basis,
		citation,
		cautions: ['An estimate; the guide itself may know another credit for a legume cover.']
	});
}

type Facts = CoverCropFacts['legume'];

function dryMatter(
	{ dryMatterLbAc, heightIn, groundCoverPercent }: LegumeCover,
	{ stand, basis, citation }: Facts
): Answer {
	const label = 'dry matter of its tops';
	if (dryMatterLbAc !== undefined) return figure({ label, value: dryMatterLbAc, unit: 'lb/ac', basis: 'measured' });
	const { atIn, lbAc, perInchLbAc, leastIn, mostIn } = stand;
	if (heightIn === undefined) {
		return notApplicable(
			LABEL,
			'neither its dry matter nor its height is known',
			'Give one under the terms of nitrogen.'
		);
	}
	if (heightIn < leastIn || heightIn > mostIn) {
		return notApplicable(
			LABEL,
			`its dry matter is not judged by a height of ${heightIn} in, only from ${leastIn} to ${mostIn} in`,
			'Cut, dry and weigh a few square feet of it.'
		);
	}
	const height = figure({ label: 'height', value: heightIn, unit: 'in', basis: 'measured' });
	const covered: Figure = figure({
		label: 'ground covered',
		value: groundCoverPercent ?? 100,
		unit: '%',
		basis: groundCoverPercent === undefined ? 'practice' : 'measured'
	});
	return figure({
		label,
		value: (lbAc + perInchLbAc * (heightIn - atIn)) * (covered.value / 100),
		unit: 'lb/ac',
		formula: `(${lbAc} + ${perInchLbAc} x (height - ${atIn})) x ground covered`,
		inputs: [height, covered],
		basis,
		citation
	});
}
