import type { Answer, Figure } from '../../figure/figure';
import type { Analyte, Result } from '../../schema-types';
import type { Profile } from './acid-layers';
import type { UnitSystem } from '../../units/rate-units';
import type { SoilLayer } from './soil-layers';

/** What a report says of one analyte, from the top down, and what was made of it before. */
export interface Reported {
	results: { layer: SoilLayer; result: Result }[];
	/** By the methods that would do. */
	answers: Map<string, Answer>;
}

/** Ca, Mg, K and Na as percent of CEC. */
export type BaseShares = Partial<Record<'Ca' | 'Mg' | 'K' | 'Na', Figure>>;

/** What was read of a soil so far. */
interface Read {
	cec?: Answer;
	/** With the CEC that they are shares of. */
	shares?: { cec: Answer; of: BaseShares };
	profile?: Profile;
}

/**
 * The layers of one sample from the top down, made once for a request and handed to every reader, with what was read of
 * them: half of the rules ask for the same few things. The layers themselves never change and are never written on.
 */
export class SampledSoil {
	readonly read: Read = {};
	#reported: Map<Analyte, Reported> | undefined;
	#only: Map<SoilLayer, SampledSoil> | undefined;

	/** Results that were left out, with the reason: they served an earlier crop. */
	readonly spent: ReadonlyMap<Analyte, string>;
	/** In which sentences about the soil speak. */
	readonly units: UnitSystem;

	constructor(
		readonly layers: readonly SoilLayer[],
		{ spent = new Map(), units = 'us' }: Partial<Pick<SampledSoil, 'spent' | 'units'>> = {}
	) {
		this.spent = spent;
		this.units = units;
	}

	/** One layer as a soil of its own; always the same, so that what was read of it is known. */
	only(layer: SoilLayer): SampledSoil {
		if (this.layers.length === 1 && this.layers[0] === layer) return this;
		this.#only ??= new Map();
		let one = this.#only.get(layer);
		if (!one) this.#only.set(layer, (one = new SampledSoil([layer], this)));
		return one;
	}

	/** All results of an analyte, from the top down. */
	reported(analyte: Analyte): Reported {
		this.#reported ??= byAnalyte(this.layers);
		let given = this.#reported.get(analyte);
		if (!given) this.#reported.set(analyte, (given = { results: [], answers: new Map() }));
		return given;
	}
}

function byAnalyte(layers: readonly SoilLayer[]): Map<Analyte, Reported> {
	const report = new Map<Analyte, Reported>();
	for (const layer of layers) {
		for (const result of layer.results) {
			const given = report.get(result.analyte);
			if (given) given.results.push({ layer, result });
			else report.set(result.analyte, { results: [{ layer, result }], answers: new Map() });
		}
	}
	return report;
}
