import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { CompiledRule, PackSet } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import { evaluate } from '../../reading/evaluate';
import { yearlyPart } from '../phosphorus-potassium/second-of-year';
import type { Site } from '../../reading/site';
import type { SiteReading } from '../../reading/site-reading';
import { readSoilTest } from '../../reading/soil/soil-test';
import type { AdviseRequest, CropGoal, CropId, Outlook } from '../../schema-types';
import { LB_PER_PPM, lbPerPpmBy, usualLbPerPpm, usualTest, type PhosphateOrPotash } from './lb-per-ppm';

/** A crop of the rotation with its goal, and a second one of the same year. */
export interface RotationCrop extends CropGoal {
	second?: CropGoal;
}

/** The crops of a request in turn: this year's, with the second crop where there is one, and the next one. */
export function rotationOf({
	crop,
	secondCrop,
	nextCrop
}: Pick<AdviseRequest, 'crop' | 'secondCrop' | 'nextCrop'>): RotationCrop[] {
	const first = { id: crop.id, yieldGoal: crop.yieldGoal, ...(secondCrop ? { second: secondCrop } : {}) };
	return [first, ...(nextCrop ? [nextCrop] : [])];
}

/**
 * Where one school takes the soil test: each year its rate goes on, the crop takes off, and the test moves by the
 * difference over the lb for each ppm; never below zero.
 * @param rotation the crops in turn, the coming year's first
 * @returns `applies: false` with the reason where the guide, the removal or the lb for each ppm is not known
 */
export function outlookOf(
	compiled: CompiledRule,
	nutrient: PhosphateOrPotash,
	reading: SiteReading,
	rotation: readonly RotationCrop[],
	years: number,
	packs: PackSet
): Outlook {
	const { method, rule, pack } = compiled;
	const { site } = reading;
	const head = { nutrient, method, school: rule.school!, packTitle: pack.title };
	const no = (reason: string): Outlook => ({ ...head, applies: false, reason, years: [] });
	const start = startingTest(compiled, nutrient, site, packs);
	if (!start.applies) return no(`${start.reason}. ${start.remedy}`);
	const perPpm = lbPerPpm(compiled, nutrient, site);
	if (!perPpm.applies) return no(`${perPpm.reason}. ${perPpm.remedy}`);
	const turns: Turn[] = [];
	for (const { second, ...crop } of rotation) {
		const turn = turnOf(compiled, nutrient, reading, crop, packs);
		// The straw that is taken off is that of the first.
		const bare = reading.of({ ...reading.site, residueShare: 0 });
		const other = second && turnOf(compiled, nutrient, bare, second, packs);
		if (typeof turn === 'string') return no(turn);
		if (typeof other === 'string') return no(other);
		turns.push(other ? together(turn, other) : turn);
	}
	const points: Outlook['years'] = [];
	let soilTest = start.value;
	for (let index = 0; index < years; index++) {
		const { crop, removal, rateAt } = turns[index % turns.length]!;
		const rate = rateAt(soilTest);
		points.push({ year: index + 1, crop, soilTest, rate, removal });
		soilTest = Math.max(0, soilTest + (rate - removal) / perPpm.value);
	}
	return {
		...head,
		applies: true,
		years: points,
		end: soilTest,
		lbPerPpm: perPpm,
		soilTestLabel: start.label,
		...worksheetsOf(points, soilTest, start, perPpm, compiled)
	};
}

/** The soil test at the end and all that went on, each year a line of its own. */
function worksheetsOf(
	points: Outlook['years'],
	end: number,
	start: Figure,
	perPpm: Figure,
	{ rule }: CompiledRule
): Pick<Outlook, 'applied' | 'endWorksheet'> {
	const line = (what: string, { year, crop }: Outlook['years'][number], value: number, unit: string) =>
		figure({
			label: `year ${year}, ${crop.replace('-', ' ')}: ${what}`,
			value,
			unit,
			basis: rule.basis,
			citation: rule.citation
		});
	const rates = points.map((point) => line('put on', point, point.rate, 'lb/ac'));
	const removals = points.map((point) => line('taken off', point, point.removal, 'lb/ac'));
	const tests = points.slice(1).map((point) => line('soil test before', point, point.soilTest, start.unit));
	const applied = figure({
		label: `put on over ${points.length} years`,
		value: points.reduce((sum, { rate }) => sum + rate, 0),
		unit: 'lb/ac',
		formula: 'sum of the years',
		inputs: rates,
		basis: rule.basis,
		citation: rule.citation
	});
	const endWorksheet = figure({
		label: `soil test after ${points.length} years`,
		value: end,
		unit: start.unit,
		formula: 'each year: soil test + (put on - taken off) / lb for each ppm, never below 0',
		inputs: [start, perPpm, ...rates, ...removals, ...tests],
		basis: rule.basis,
		citation: rule.citation
	});
	return { applied, endWorksheet };
}

interface Turn {
	crop: CropId;
	removal: number;
	rateAt(soilTest: number): number;
	/** What of it is owed once a year, whatever is harvested. */
	yearlyAt(soilTest: number): number;
}

function turnOf(
	compiled: CompiledRule,
	nutrient: PhosphateOrPotash,
	reading: SiteReading,
	{ id, yieldGoal }: CropGoal,
	packs: PackSet
): Turn | string {
	const name = id.replace('-', ' ');
	if (!compiled.forCrop(id)) return `${compiled.pack.title} has no rate for ${name}`;
	const then = reading.of({ ...reading.site, crop: { ...reading.site.crop, id }, yieldGoal });
	const remover = packs.rules.find(
		({ rule, kind, forCrop }) => kind.kind === 'removal' && rule.gives === nutrient && forCrop(id) !== undefined
	);
	if (!remover) return `no pack gives what ${name} takes off`;
	const [first, off] = [applyRule(compiled, then), applyRule(remover, then)];
	if (!first.applies) return `${first.reason}. ${first.remedy}`;
	if (!off.applies) return `${off.reason}. ${off.remedy}`;
	return {
		crop: id,
		removal: off.value,
		rateAt: (soilTest) => evaluate(compiled, then, { soilTest }),
		yearlyAt: (soilTest) => yearlyPart(compiled, then, soilTest)
	};
}

/** Two crops of one year: both are fertilized from the same test, and both take off. */
function together(first: Turn, second: Turn): Turn {
	return {
		crop: first.crop,
		removal: first.removal + second.removal,
		// Build-up is owed once for the year, with the first crop.
		rateAt: (soilTest) => first.rateAt(soilTest) + second.rateAt(soilTest) - second.yearlyAt(soilTest),
		yearlyAt: (soilTest) => first.yearlyAt(soilTest)
	};
}

/** The rule's own soil test, or, for a rule that looks at none, the test by the method the usual buffer was made on. */
function startingTest(compiled: CompiledRule, nutrient: PhosphateOrPotash, site: Site, packs: PackSet): Answer {
	if (compiled.rule.soilTest) return readSoilTest(site, compiled);
	const method = usualTest(nutrient);
	const usual = packs.rules.find(
		({ rule }) => rule.gives === nutrient && rule.soilTest?.methods.length === 1 && rule.soilTest.methods[0] === method
	);
	return usual ? readSoilTest(site, usual) : notApplicable('soil test', 'no pack reads this soil test', 'Add one.');
}

function lbPerPpm({ rule }: CompiledRule, nutrient: PhosphateOrPotash, { soil }: Site): Answer {
	const own = rule.soilTest?.lbPerPpm;
	if (own) return lbPerPpmBy(own, soil, { basis: rule.basis, citation: rule.citation });
	const fits = !rule.soilTest || rule.soilTest.methods.includes(usualTest(nutrient));
	if (fits) return usualLbPerPpm(nutrient, soil);
	return notApplicable(
		LB_PER_PPM,
		`the guide does not say how many lb/ac move its soil test by 1 ppm`,
		'Write it into a copy of the guide (soilTest, lbPerPpm).'
	);
}
