import type { Figure, NotApplicable } from '../schema-types';

export type { Figure, NotApplicable };
export type Answer = Figure | NotApplicable;

type FigureParts = Pick<Figure, 'label' | 'value' | 'unit' | 'basis'> & Partial<Figure>;

/**
 * A number with its unit, formula, inputs and basis.
 * @throws RangeError where the value is not finite: a missing input must become `notApplicable` before this
 */
export function figure(parts: FigureParts): Figure {
	if (!Number.isFinite(parts.value)) throw new RangeError(`${parts.label} is ${parts.value}, which is no figure`);
	const { label, value, unit, formula = '', inputs = [], basis, cautions = [] } = parts;
	const made: Figure = { applies: true, label, value, unit, formula, inputs, basis, cautions };
	// Set one by one, not spread: tens of thousands of figures are made while zones are read.
	if (parts.citation !== undefined) made.citation = parts.citation;
	if (parts.approximation !== undefined) made.approximation = parts.approximation;
	if (parts.wouldChange !== undefined) made.wouldChange = parts.wouldChange;
	return made;
}

/**
 * The reason why a number cannot be given, and what the adviser can do about it.
 * @param lacks the one thing that is missing, as a noun ("P by Olsen"), where one would do
 */
export function notApplicable(label: string, reason: string, remedy: string, lacks?: string): NotApplicable {
	return { applies: false, label, reason, remedy, ...(lacks === undefined ? {} : { lacks }) };
}

/** The same reason for what was to be made of it. */
export function becauseOf(missing: NotApplicable, label: string): NotApplicable {
	return { ...missing, label };
}

/** The value of a figure; undefined where there is none. NaN stays inside evaluators. */
export function valueIfKnown(answer: Answer): number | undefined {
	return answer.applies ? answer.value : undefined;
}

/** The same figure with one caution more. */
export function withCaution(base: Figure, caution: string): Figure {
	return base.cautions.includes(caution) ? base : { ...base, cautions: [...base.cautions, caution] };
}

/** Every caution in the tree, each once, the figure's own first. */
export function allCautions(root: Figure): string[] {
	const seen = new Set(root.cautions);
	for (const input of root.inputs) for (const caution of allCautions(input)) seen.add(caution);
	return [...seen];
}

/** The bridge between lab methods that a figure stands on, its own or that of an input; undefined where it has none. */
export function approximationOf(root: Figure): string | undefined {
	if (root.approximation !== undefined) return root.approximation;
	for (const input of root.inputs) {
		const found = approximationOf(input);
		if (found !== undefined) return found;
	}
	return undefined;
}
