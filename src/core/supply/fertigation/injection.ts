import { allKnown } from '../../figure/all-known';
import { figure, type Answer, type Figure } from '../../figure/figure';
import type { FertigationRequest } from '../../schema-types';
import type { StockTank } from './stock-tanks';

/** Drip: the first quarter of a set brings the lines to pressure, the last one flushes them; common practice. */
const INJECTED_SHARE = 0.5;

/** How a tank's stock goes into the water. */
export interface Injection {
	tank: StockTank['name'];
	/** gal/h of the pump; does not apply where the stock is not known. */
	pumpRate: Answer;
	/** Stock to a zone of drip; undefined under a pivot. */
	perZone: Answer | undefined;
}

/** When injection starts and ends in a set of drip, hours from its start; undefined under a pivot, where it runs the whole turn. */
export function setTiming({ through }: FertigationRequest): { from: number; to: number; end: number } | undefined {
	if (through.kind === 'pivot') return undefined;
	const { hoursPerZone: hours } = through;
	const edge = (hours * (1 - INJECTED_SHARE)) / 2;
	return { from: edge, to: hours - edge, end: hours };
}

/**
 * The pump rate of a tank: drip, a zone's stock in the middle half of its set; pivot, gallons to the acre x acres an hour.
 * @param parts in how many parts the time of injection falls under drip, one tank after another
 */
export function injectionOf(
	{ name, gallons }: StockTank,
	{ through, areaAcres }: FertigationRequest,
	parts: 1 | 2
): Injection {
	const label = `pump rate of tank ${name}`;
	if (through.kind === 'pivot') {
		const pumpRate = allKnown(label, { gallons }, (known) => {
			const acres = figure({ label: 'area', value: areaAcres, unit: 'ac', basis: 'adviser' });
			const hours = figure({ label: 'hours for a turn', value: through.hoursPerTurn, unit: 'h', basis: 'adviser' });
			const perAcre = quotient('stock', 'gal/ac', 'stock / area', known.gallons, acres);
			const perHour = quotient('area watered', 'ac/h', 'area / hours for a turn', acres, hours);
			return figure({
				label,
				value: perAcre.value * perHour.value,
				unit: 'gal/h',
				formula: 'gal/ac x ac/h',
				inputs: [perAcre, perHour],
				basis: 'practice'
			});
		});
		return { tank: name, pumpRate, perZone: undefined };
	}
	const zones = figure({ label: 'zones', value: through.zones, unit: '', basis: 'adviser' });
	const zoneLabel = `stock of tank ${name} to a zone`;
	const perZone = allKnown(zoneLabel, { gallons }, (known) =>
		quotient(zoneLabel, 'gal', 'stock / zones', known.gallons, zones)
	);
	const hours = figure({
		label: 'hours of injection',
		value: (through.hoursPerZone * INJECTED_SHARE) / parts,
		unit: 'h',
		formula: `hours of a set x ${INJECTED_SHARE}: a quarter to pressurise, a quarter to flush${parts > 1 ? `; / ${parts}, one tank after another` : ''}`,
		inputs: [figure({ label: 'hours of a set', value: through.hoursPerZone, unit: 'h', basis: 'adviser' })],
		basis: 'practice'
	});
	const pumpRate = allKnown(label, { perZone }, (known) =>
		quotient(label, 'gal/h', 'stock to a zone / hours of injection', known.perZone, hours)
	);
	return { tank: name, pumpRate, perZone };
}

function quotient(label: string, unit: string, formula: string, of: Figure, by: Figure): Figure {
	return figure({ label, value: of.value / by.value, unit, formula, inputs: [of, by], basis: 'practice' });
}
