import type { Observation } from '../../../../core/schema-types';
import { rateOf } from '../../../../core/trials/design/treatments';
import { atStandardMoisture } from '../../../../core/trials/plots/standard-moisture';
import type { BookTrial } from '../../stores/trials';

/** The plots of a trial that tries rates, as a fit takes them; those set aside are left out. */
export function ratesOfTrial(
	{ plan, plots, records }: BookTrial,
	standardMoisturePercent: number | undefined
): Observation[] {
	return plots.flatMap((plot) => {
		const own = records.find((one) => one.plot === plot.plot);
		const rate = rateOf(plan, plot);
		if (own?.values?.yield === undefined || own.setAside !== undefined || rate === undefined) return [];
		const weighed = atStandardMoisture(own.values.yield, own.moisturePercent, standardMoisturePercent);
		return [{ rate, yield: Math.round(weighed * 100) / 100, block: plot.block }];
	});
}
