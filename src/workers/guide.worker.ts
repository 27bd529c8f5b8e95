// Tries a guide that is being written: its problems, its worked examples, and how the rates of all open fields move.
import { compilePacks, workedOut } from '$core/packs/compile-packs';
import { readPackText } from '$core/packs/read-pack-text';
import type { CompiledRule } from '$core/packs/pack';
import { ruleKinds } from '$core/rates/kinds';
import { ratesOfMany, type ManyRates } from '$core/rates/rates-of-many';
import type { OpenFields } from '$lib/server/open-fields';
import type { ExampleOutcome, GuideAnswer, GuideRequest, MovedRate } from './guide-messages';

let open: OpenFields | undefined;
/** The newest request; an older one leaves off when it sees that it is no longer it. */
let newest = 0;

self.onmessage = ({ data }: MessageEvent<GuideRequest>) => {
	if (data.kind === 'fields') open = data.open;
	else if (data.kind === 'cancel') newest++;
	else void tryGuide(data.text, (newest = data.id));
};

async function tryGuide(text: string, id: number): Promise<void> {
	const { document, rules, problems } = readPackText(text, ruleKinds);
	tell({ kind: 'checked', id, problems, examples: rules.flatMap(examplesOf) });
	if (!open || document === undefined || rules.length === 0) return;
	const own = rules[0]!.pack;
	const others = open.guides.filter((guide) => guide.id !== own.id);
	const knownBefore = open.guides.find((guide) => guide.id === own.id || `my-${guide.id}` === own.id);
	const before = knownBefore && (await run(id, { packs: compilePacks([knownBefore], ruleKinds), crops: open.crops }));
	const after = await run(id, { packs: { packs: [...others, own], rules }, crops: open.crops });
	if (after && id === newest) tell(movedRates(id, open, rules, before, after));
}

async function run(id: number, knowledge: Parameters<typeof ratesOfMany>[2]): Promise<ManyRates | undefined> {
	const { fields, today } = open!;
	const steps = ratesOfMany(
		fields.map(({ request }) => request),
		fields.length,
		knowledge,
		today
	);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
		tell({ kind: 'progress', id, ...step.value });
		await new Promise((resume) => setTimeout(resume));
		if (id !== newest) return undefined;
	}
}

function examplesOf(compiled: CompiledRule): ExampleOutcome[] {
	return compiled.rule.examples.map((example, index) => {
		const value = workedOut(compiled, example) ?? NaN;
		const right = Math.abs(value - example.gives) <= example.tolerance;
		return { rule: compiled.rule.id, index, comesOut: numberOrNull(value), right };
	});
}

function movedRates(
	id: number,
	{ fields }: OpenFields,
	rules: readonly CompiledRule[],
	before: ManyRates | undefined,
	after: ManyRates
): GuideAnswer {
	const moved: MovedRate[] = [];
	let rates = 0;
	for (const [row, field] of fields.entries()) {
		for (const [column, method] of after.methods.entries()) {
			const compiled = rules.find((candidate) => candidate.method === method)!;
			const now = after.rates[row * after.methods.length + column]!;
			const was = rateBefore(before, row, compiled.rule.id);
			if (!Number.isNaN(now)) rates++;
			if (Object.is(now, was) || Math.abs(now - was) < 0.05) continue;
			const { gives, title, unit } = compiled.rule;
			const names = { field: field.name, grower: field.grower, rule: title, nutrient: gives, unit };
			moved.push({ ...names, before: numberOrNull(was), after: numberOrNull(now) });
		}
	}
	return { kind: 'moved', id, fields: fields.length, rates, moved };
}

function rateBefore(before: ManyRates | undefined, row: number, rule: string): number {
	const column = before?.methods.findIndex((method) => method.endsWith(`/${rule}`)) ?? -1;
	return column < 0 ? NaN : before!.rates[row * before!.methods.length + column]!;
}

function numberOrNull(value: number): number | null {
	return Number.isNaN(value) ? null : value;
}

function tell(answer: GuideAnswer): void {
	self.postMessage(answer);
}
