// Tries a guide that is being written: its problems, its worked examples, and how the rates of all open fields move.
import { compilePacks, workedOut } from '$core/packs/compile-packs';
import { readPackText } from '$core/packs/read-pack-text';
import type { CompiledRule } from '$core/packs/pack';
import { ruleKinds } from '$core/rates/kinds';
import { movedRates } from '$core/rates/moved-rates';
import { ratesOfMany, type ManyRates } from '$core/rates/rates-of-many';
import type { OpenFields } from '$core/rates/open-fields';
import type { ExampleOutcome, GuideAnswer, GuideRequest } from './guide-messages';

let open: OpenFields | undefined;
/** The newest request; an older one leaves off when it sees that it is no longer it. */
let newest = 0;

self.onmessage = ({ data }: MessageEvent<GuideRequest>) => {
	if (data.kind === 'fields') open = data.open;
	else if (data.kind === 'cancel') newest++;
	else void tryGuide(data.text, (newest = data.id));
};

async function tryGuide(text: string, id: number): Promise<void> {
	const { document, rules, problems } = readPackText(
		text,
		ruleKinds,
		open?.crops.map(({ id }) => id)
	);
	tell({ kind: 'checked', id, problems, examples: rules.flatMap(examplesOf) });
	if (!open || document === undefined || rules.length === 0) return;
	const own = rules[0]!.pack;
	const others = open.guides.filter((guide) => guide.id !== own.id);
	const knownBefore = open.guides.find((guide) => guide.id === own.id || `my-${guide.id}` === own.id);
	const before = knownBefore && (await run(id, { ...open, packs: compilePacks([knownBefore], ruleKinds) }));
	const after = await run(id, { ...open, packs: { packs: [...others, own], rules } });
	if (!after || id !== newest) return;
	const { fields } = open;
	const moved = movedRates(rules, before, after, fields.length).map(({ row, ...rate }) => {
		const { name, grower } = fields[row]!;
		return { field: name, grower, ...rate };
	});
	tell({ kind: 'moved', id, fields: fields.length, moved });
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

function numberOrNull(value: number): number | null {
	return Number.isNaN(value) ? null : value;
}

function tell(answer: GuideAnswer): void {
	self.postMessage(answer);
}
