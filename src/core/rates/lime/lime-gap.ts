import type { PackSet } from '../../packs/pack';
import type { Rate } from '../../schema-types';
import { formatNumber } from '../../units/display';

/** From this ratio of the most to the least on, the approaches are told apart in words: more than half as much again. Judgement. */
const TOLD_FROM = 1.5;

/** What each kind of lime rule goes by; common practice. */
const GOES_BY: Record<string, string> = {
	'buffer-line': 'the lab’s buffer, which sees all the acidity in reserve, for the whole depth limed',
	'acidity-ratio': 'the share of the buffer’s acidity between this pH and the target',
	'buffer-capacity': 'organic carbon and clay, layer by layer, and only for layers below its trigger',
	'lime-table': 'a table for one target'
};

/**
 * Why the approaches to lime differ, where the most is more than half as much again as the least of those that call for some.
 * @param rates of one site, all in the same material
 * @returns undefined where they agree
 */
export function limeGap(rates: readonly Rate[], packs: PackSet): string | undefined {
	const some = rates.flatMap(({ nutrient, method, packTitle, worksheet }) =>
		nutrient === 'lime' && worksheet.applies && worksheet.value > 0
			? [{ method, packTitle, rate: worksheet.value, unit: worksheet.unit }]
			: []
	);
	const least = some.reduce<(typeof some)[number] | undefined>((a, b) => (a && a.rate <= b.rate ? a : b), undefined);
	const most = some.reduce<(typeof some)[number] | undefined>((a, b) => (a && a.rate >= b.rate ? a : b), undefined);
	if (!least || !most || most.rate < TOLD_FROM * least.rate) return undefined;
	const told = ({ method, packTitle, rate, unit }: (typeof some)[number]) => {
		const kind = packs.rules.find((rule) => rule.method === method)?.kind.kind ?? '';
		return `${packTitle} (${formatNumber(rate, unit)}) goes by ${GOES_BY[kind] ?? 'a rule of its own'}`;
	};
	return `In the same lime the approaches lie more than half apart: ${told(most)}; ${told(least)}.`;
}
