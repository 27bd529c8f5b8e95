import { formatNumber, formatQuantity } from '../../units/display';
import type { AnovaRow, TrialAnswer, TrialObservation, TrialPlan } from '../../schema-types';
import { treatmentOf } from '../analysis/plots';
import { USUAL_LEVEL } from '../analysis/usual-values';
import { rateFactor } from '../design/treatments';
import type { TreatmentMoney } from './money';
import { wholeMeans } from './whole-means';
import type { ReadingTerms } from './read-trial';

interface Said {
	answer: TrialAnswer;
	grounds: readonly { ground: string; answer: TrialAnswer }[];
	byGround: AnovaRow | undefined;
	money: readonly TreatmentMoney[];
	used: readonly TrialObservation[];
}

/** A trial in one paragraph of an adviser's words: what is beyond chance, what it returned, and on what ground. */
export function paragraphOf(plan: TrialPlan, said: Said, terms: ReadingTerms): string {
	return [said.answer.verdict, moneySentence(plan, said, terms), groundSentence(said, terms)].filter(Boolean).join(' ');
}

/** What was earned over usual practice; empty without prices. */
export function moneySentence(plan: TrialPlan, { money, used }: Said, { yieldUnit }: ReadingTerms): string {
	const [best, next] = [...money].sort((a, b) => b.net.value - a.net.value);
	if (!best || !next) return '';
	const base = money.find(({ treatment }) => treatment === plan.usual);
	const perYield = formatQuantity(plan.price!, `$/${yieldUnit.split('/')[0]}`);
	const named = (treatment: string) => {
		const unit = plan.factors.length === 1 && rateFactor(plan)?.unit;
		return unit ? `${treatment} ${unit}` : `“${treatment}”`;
	};
	if (base && best.treatment === base.treatment) {
		return `At ${perYield} usual practice, ${named(base.treatment)}, returned most; nothing that was tried beat it.`;
	}
	const other = base ?? next;
	const dollars = (value: number) => formatQuantity(value, '$/ac');
	const over = `${dollars(best.net.value - other.net.value)} over ${base ? 'usual practice, ' : ''}${named(other.treatment)}`;
	const blocks = aheadIn(used, best.treatment, other.treatment);
	return [
		`At ${perYield} ${named(best.treatment)} returned most, ${over}${rangeText(best.gain)}.`,
		...(blocks.of === 0
			? []
			: [
					`It yielded more in ${blocks.ahead} of ${blocks.of} blocks (${blocks.least} to ${blocks.most} ${yieldUnit} apart).`
				])
	].join(' ');
}

/** The range of a gain in money, and whether chance alone could make it. */
function rangeText(gain: TreatmentMoney['gain']): string {
	if (gain?.low === undefined || gain.high === undefined) return '';
	const [low, high] = [gain.low, gain.high].map((value) => formatQuantity(value, '$/ac')) as [string, string];
	return ` (${low} to ${high}${gain.low > 0 ? '' : ', which chance alone could make'})`;
}

/** In how many of the blocks that have both a treatment yielded more than another, and by how much. */
function aheadIn(used: readonly TrialObservation[], one: string, other: string) {
	const yieldIn = (block: TrialObservation['block'], treatment: string) =>
		used.find((plot) => plot.block === block && treatmentOf(plot) === treatment)?.yield;
	const apart = [...new Set(used.map(({ block }) => block))].flatMap((block) => {
		const [mine, theirs] = [yieldIn(block, one), yieldIn(block, other)];
		return mine === undefined || theirs === undefined ? [] : [mine - theirs];
	});
	return {
		of: apart.length,
		ahead: apart.filter((by) => by > 0).length,
		least: formatNumber(Math.round(Math.min(...apart)), 'yield'),
		most: formatNumber(Math.round(Math.max(...apart)), 'yield')
	};
}

function groundSentence({ grounds, byGround }: Said, { level = USUAL_LEVEL, yieldUnit }: ReadingTerms): string {
	if (grounds.length < 2) return '';
	const each = grounds.map(({ ground, answer }) => {
		const [best] = wholeMeans(answer).sort((a, b) => b.mean - a.mean);
		return `on the ${ground} ${treatmentOf(best!)} had most, ${formatQuantity(Math.round(best!.mean * 10) / 10, yieldUnit)}`;
	});
	const differ =
		byGround?.p === undefined || byGround.p === null
			? ''
			: byGround.p < 1 - level
				? ' The grounds answer differently, beyond chance: go by each.'
				: ' That the grounds answer differently is not proven.';
	const text = each.join('; ');
	return `${text.charAt(0).toUpperCase()}${text.slice(1)}.${differ}`;
}
