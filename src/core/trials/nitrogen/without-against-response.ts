import type { Figure } from '../../figure/figure';
import { chanceText } from '../analysis/verdict';
import { USUAL_LEVEL } from '../analysis/usual-values';
import type { NitrogenSite } from './nitrogen-site';
import { relationFigure, relationOf, type Relation } from './relation';

/** Yield without nitrogen against what nitrogen brought, over several sites. */
export interface WithoutAgainstResponse {
	points: { site: string; without: number; response: number }[];
	/** Undefined for fewer than three sites. */
	relation: Relation | undefined;
	r: Figure | undefined;
	text: string;
}

/** Whether ground that yields more without nitrogen answers less to it; as a rule there is no relation, and rates by yield without nitrogen mislead. */
export function withoutAgainstResponse(sites: readonly NitrogenSite[]): WithoutAgainstResponse {
	const points = sites.flatMap(({ site, without, response }) =>
		without && response ? [{ site, without: without.value, response: response.value }] : []
	);
	const relation = relationOf(points.map(({ without, response }) => [without, response]));
	const r =
		relation &&
		relationFigure(relation, {
			of: 'r',
			label: 'r of yield without nitrogen and response',
			x: 'yield without',
			y: 'response'
		});
	return { points, relation, r, text: textOf(relation, points.length) };
}

function textOf(relation: Relation | undefined, count: number): string {
	if (!relation) {
		const sites = count === 1 ? '1 site has' : `${count} sites have`;
		return `${sites} plots without nitrogen and an optimum: whether yield without nitrogen tells the response takes three.`;
	}
	const { p, slope } = relation;
	const told = `${chanceText(p)}, ${count} sites`;
	if (p >= 1 - USUAL_LEVEL) {
		return `Yield without nitrogen does not tell the response to it (${told}). So it is as a rule: what ground yields by itself is no guide to the rate.`;
	}
	const way = slope < 0 ? 'less' : 'more';
	return `Here ground that yields more without nitrogen answers ${way} to it (${told}). As a rule there is no relation: see whether these sites are alike in something else.`;
}
