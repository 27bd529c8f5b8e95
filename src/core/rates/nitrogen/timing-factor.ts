import { massBalanceWithPrices } from './mass-balance-with-prices';
import { knownParameters } from '../../packs/parameters-of';
import { figure, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import type { Site } from '../../reading/site';

/** The guide's factor for when most of the nitrogen goes on; spring where the adviser has not said. */
export function readTimingFactor({ nitrogen, crop }: Site, compiled: CompiledRule): Answer {
	const { timing } = knownParameters(massBalanceWithPrices, compiled, crop.id);
	const { basis, citation } = compiled.rule;
	const when = nitrogen.timing ?? 'spring';
	return figure({
		label: nitrogen.timing ? `timing: ${when}` : 'timing: spring, because none is set',
		value: timing[when],
		unit: '',
		basis,
		citation
	});
}
