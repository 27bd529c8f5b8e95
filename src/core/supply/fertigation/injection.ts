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
 */
export function injectionOf(tank: StockTank, { through, areaAcres }: FertigationRequest): Injection {
	const { gallons } = tank;
	const label = `pump rate of tank ${tank.name}`;
	const refused = (name: string): Answer => ({ ...gallons, label: name }) as Answer;
	if (through.kind === 'pivot') {
		if (!gallons.applies) return { tank: tank.name, pumpRate: refused(label), perZone: undefined };
		const acres = figure({ label: 'area', value: areaAcres, unit: 'ac', basis: 'adviser' });
		const hours = figure({ label: 'hours for a turn', value: through.hoursPerTurn, unit: 'h', basis: 'adviser' });
		const perAcre = figure({
			label: 'stock',
			value: gallons.value / areaAcres,
			unit: 'gal/ac',
			formula: 'stock / area',
			inputs: [gallons, acres],
			basis: gallons.basis
		});
		const perHour = figure({
			label: 'area watered',
			value: areaAcres / through.hoursPerTurn,
			unit: 'ac/h',
			formula: 'area / hours for a turn',
			inputs: [acres, hours],
			basis: 'adviser'
		});
		return {
			tank: tank.name,
			pumpRate: rate(label, perAcre.value * perHour.value, [perAcre, perHour]),
			perZone: undefined
		};
	}
	const zoneLabel = `stock of tank ${tank.name} to a zone`;
	if (!gallons.applies) return { tank: tank.name, pumpRate: refused(label), perZone: refused(zoneLabel) };
	const zones = figure({ label: 'zones', value: through.zones, unit: '', basis: 'adviser' });
	const perZone = figure({
		label: zoneLabel,
		value: gallons.value / through.zones,
		unit: 'gal',
		formula: 'stock / zones',
		inputs: [gallons, zones],
		basis: gallons.basis
	});
	const hours = figure({
		label: 'hours of injection',
		value: through.hoursPerZone * INJECTED_SHARE,
		unit: 'h',
		formula: `hours of a set x ${INJECTED_SHARE}: a quarter to pressurise, a quarter to flush`,
		inputs: [figure({ label: 'hours of a set', value: through.hoursPerZone, unit: 'h', basis: 'adviser' })],
		basis: 'practice'
	});
	return { tank: tank.name, pumpRate: rate(label, perZone.value / hours.value, [perZone, hours]), perZone };
}

function rate(label: string, value: number, inputs: [Figure, Figure]): Answer {
	const formula = inputs[1].unit === 'h' ? 'stock to a zone / hours of injection' : 'gal/ac x ac/h';
	return figure({ label, value, unit: 'gal/h', formula, inputs, basis: 'practice' });
}
