import { notApplicable, type Answer, type Figure, type NotApplicable } from '../figure/figure';
import { rulesGiving, type CompiledRule, type PackSet } from '../packs/pack';
import { applyRule } from './apply-rule';
import type { Site } from './site';
import { evaluate } from './evaluate';
import { siteInputs } from './site-inputs';
import { SiteReading } from './site-reading';

/** A soil test on the curve of yield against it. */
export interface ResponseCurve {
	/** "phosphorus, Bray P1" and the like; the soil's own value stands in `here`. */
	analyte: 'P' | 'K';
	/** Expected yield at this soil's test, %, or why there is none. */
	here: Answer;
	soilTest: Figure | undefined;
	criticalLevel: Figure | undefined;
	/** [soil test in ppm, relative yield in %] for drawing; empty where it does not apply. */
	points: [number, number][];
}

const STEPS = 60;

/** The response curve of one nutrient for the site's crop and the method the lab used. */
export function readResponseCurve(site: Site, packs: PackSet, analyte: 'P' | 'K'): ResponseCurve {
	const rules = rulesGiving(packs, 'response-curve').filter(({ rule }) => rule.soilTest?.analyte === analyte);
	const reading = new SiteReading(site, siteInputs);
	const answers = rules.map((rule) => ({ rule, here: applyRule(rule, reading) }));
	const known = answers.filter(({ rule }) => rule.parametersFor(site.crop.id) !== undefined);
	const fitting = known.find(({ here }) => here.applies) ?? known[0];
	if (!fitting?.here.applies) {
		const here = fitting?.here ?? unknownCrop(site);
		return { analyte, here, soilTest: undefined, criticalLevel: undefined, points: [] };
	}
	const [soilTest, criticalLevel] = fitting.here.inputs as [Figure, Figure];
	const end = Math.max(soilTest.value * 1.25, criticalLevel.value * 3);
	return { analyte, here: fitting.here, soilTest, criticalLevel, points: curvePoints(fitting.rule, reading, end) };
}

function unknownCrop({ crop }: Site): NotApplicable {
	const name = crop.name.toLowerCase();
	return notApplicable(
		'response curve',
		`no guide has one for ${name}`,
		`Judge it by leaf samples, or add ${name} to a guide of your own.`
	);
}

function curvePoints(compiled: CompiledRule, reading: SiteReading, end: number): [number, number][] {
	return Array.from({ length: STEPS + 1 }, (_, step) => {
		const soilTest = (end * step) / STEPS;
		return [soilTest, evaluate(compiled, reading, { soilTest })];
	});
}
