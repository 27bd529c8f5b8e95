import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import { allKnown } from '../../figure/all-known';
import { LB_PER_PERCENT_OF_FURROW, LB_PER_SHORT_TON } from '../../units/factors';

/** meq/100 g that a percent of organic matter holds near neutral; common practice (1.5 to 3 by pH). */
const PER_PERCENT_OM = 2;
/** Share of dry residue or manure that is organic matter of the soil a year later; common practice (0.1 to 0.25). */
const BECOMES_OM = 0.15;
/** Share of it that decays in a year; common practice (0.02 to 0.04). */
const DECAYS = 0.02;
/** Tons of dry residue or manure to the acre a year that a farm may add to what it leaves now: judgement. */
const ADDED_TONS = 4;
/** % of organic matter a year that some advisers promise; common practice, not backed by the carbon arithmetic. */
const CLAIMED_PERCENT = 0.25;
/** lb N/ac that a meq/100 g holds at one time; common practice. */
const N_PER_MEQ = 10;

/** What makes a soil's CEC, and what one more percent of organic matter would take and bring. */
export interface CecParts {
	fromOrganicMatter: Answer;
	fromClay: Answer;
	/** meq in a gram-percent of clay: tells its kind. */
	perPercentClay: Answer;
	/** lb N/ac that one more percent would hold. */
	holdsMore: Figure;
	/** Years until added residue makes one more percent. */
	yearsForOne: Answer;
	/** Tons of dry residue a year that the promised rise takes. */
	tonsForClaim: Figure;
}

/**
 * CEC = organic matter x 2 + clay x its kind, meq/100 g (common practice), and the carbon arithmetic of raising it: what is added becomes
 * organic matter by a share, of which a share decays each year.
 * @param clay %; measured or of the texture class
 */
export function cecParts(cec: Answer, organicMatter: Answer, clay: Answer): CecParts {
	const fromOrganicMatter = allKnown('held by organic matter', { organicMatter }, (known) =>
		figure({
			label: 'held by organic matter',
			value: known.organicMatter.value * PER_PERCENT_OM,
			unit: 'meq/100 g',
			formula: `organic matter x ${PER_PERCENT_OM}`,
			inputs: [known.organicMatter],
			basis: 'practice'
		})
	);
	const fromClay = allKnown('held by clay', { cec, fromOrganicMatter }, (known) =>
		known.fromOrganicMatter.value >= known.cec.value
			? notApplicable(
					'held by clay',
					'organic matter alone would hold more than the CEC of the report',
					'Ask the lab to look at CEC and organic matter again.'
				)
			: figure({
					label: 'held by clay',
					value: known.cec.value - known.fromOrganicMatter.value,
					unit: 'meq/100 g',
					formula: 'CEC - held by organic matter',
					inputs: [known.cec, known.fromOrganicMatter],
					basis: 'practice'
				})
	);
	return {
		fromOrganicMatter,
		fromClay,
		perPercentClay: allKnown('to a percent of clay', { fromClay, clay }, (known) =>
			figure({
				label: 'to a percent of clay',
				value: known.fromClay.value / known.clay.value,
				unit: 'meq/100 g',
				formula: 'held by clay / clay',
				inputs: [known.fromClay, known.clay],
				basis: 'practice'
			})
		),
		holdsMore: figure({
			label: 'one more percent of organic matter holds',
			value: PER_PERCENT_OM * N_PER_MEQ,
			unit: 'lb/ac',
			formula: `${PER_PERCENT_OM} meq/100 g x ${N_PER_MEQ} lb N`,
			basis: 'practice'
		}),
		yearsForOne: yearsToRaise(ADDED_TONS),
		tonsForClaim: figure({
			label: `dry residue for ${CLAIMED_PERCENT} % a year`,
			value: (CLAIMED_PERCENT * LB_PER_PERCENT_OF_FURROW) / BECOMES_OM / LB_PER_SHORT_TON,
			unit: 'short ton/ac',
			formula: `${CLAIMED_PERCENT} % x ${LB_PER_PERCENT_OF_FURROW} lb / ${BECOMES_OM} that becomes organic matter / ${LB_PER_SHORT_TON}`,
			basis: 'practice'
		})
	};
}

/**
 * Years until residue added each year has raised organic matter by a percent: -ln(1 - decay x 20,000 lb / gain) / decay.
 * @param tons dry, to the acre and year, above 0
 * @returns does not apply where as much decays before a percent is reached
 */
export function yearsToRaise(tons: number): Answer {
	const label = 'years for one more percent';
	const added = figure({ label: 'dry residue added each year', value: tons, unit: 'short ton/ac', basis: 'adviser' });
	const gain = figure({
		label: 'becomes organic matter each year',
		value: tons * LB_PER_SHORT_TON * BECOMES_OM,
		unit: 'lb/ac',
		formula: `tons x ${LB_PER_SHORT_TON} x ${BECOMES_OM}`,
		inputs: [added],
		basis: 'practice'
	});
	const lost = (DECAYS * LB_PER_PERCENT_OF_FURROW) / gain.value;
	if (lost >= 1) {
		return notApplicable(label, `as much decays as comes in before a percent is reached`, 'Add more each year.');
	}
	return figure({
		label,
		value: -Math.log(1 - lost) / DECAYS,
		unit: 'years',
		formula: `-ln(1 - ${DECAYS} x ${LB_PER_PERCENT_OF_FURROW} lb / gain) / ${DECAYS}`,
		inputs: [gain],
		basis: 'practice'
	});
}
