import { notApplicable, type Answer } from '../figure/figure';
import type { CompiledRule } from '../packs/pack';
import type { InputName } from '../packs/rule-kind';
import type { Site } from './site';
import type { InputReaders } from './site-inputs';

/** Inputs that are the same whichever rule asks. */
const SAME_FOR_EVERY_RULE: ReadonlySet<InputName> = new Set([
	'cec',
	'organicMatter',
	'organicCarbon',
	'clay',
	'bulkDensity',
	'yieldGoal',
	'residueShare'
]);

/** A site as rules ask of it, made once for a request: what is the same for every rule is read once. */
export class SiteReading {
	readonly #same: Partial<Record<InputName, Answer>> = {};

	constructor(
		readonly site: Site,
		readonly readers: Partial<InputReaders>
	) {}

	/** An input as a rule sees it; does not apply with the reason where it is not known. */
	input(name: InputName, compiled: CompiledRule): Answer {
		if (!SAME_FOR_EVERY_RULE.has(name)) return this.#read(name, compiled);
		return (this.#same[name] ??= this.#read(name, compiled));
	}

	/** Another site by the same readers. */
	of(site: Site): SiteReading {
		return site === this.site ? this : new SiteReading(site, this.readers);
	}

	#read(name: InputName, compiled: CompiledRule): Answer {
		const reader = this.readers[name];
		return reader ? reader(this.site, compiled) : notApplicable(name, `${name} is not known here`, 'Correct the pack.');
	}
}
