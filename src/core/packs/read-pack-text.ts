import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import { InputError, type Problem } from '../check/problem';
import { MOST_NESTED, tooDeepAt } from '../check/nested-json';
import { inspectPack, type InspectedPack } from './compile-packs';
import type { AnyRuleKind } from './rule-kind';
import type { PackDocument } from '../schema-types';
import { unknownCrops } from './unknown-crops';

/** A problem with the line of the file on which it stands. */
export interface LineProblem extends Problem {
	/** From 1. */
	line: number;
}

/** A pack's text read as far as it can be. */
export interface ReadPack {
	/** Undefined where the text is no JSON. */
	document: unknown;
	rules: InspectedPack['rules'];
	problems: LineProblem[];
}

/**
 * Reads a pack from its text, each problem with its line: JSON, shape, kinds, units, scales, crops, worked examples.
 * @param crops ids of the crops there are; undefined where they are not known yet, and then not checked
 */
export function readPackText(
	text: string,
	kinds: readonly AnyRuleKind[],
	crops: readonly string[] | undefined
): ReadPack {
	const tooDeep = tooDeepAt(text);
	if (tooDeep !== undefined) {
		const message = `must be nested at most ${MOST_NESTED} deep`;
		return { document: undefined, rules: [], problems: [{ path: '', line: lineAt(text, tooDeep), message }] };
	}
	const errors: ParseError[] = [];
	const tree = parseTree(text, errors, { disallowComments: true });
	if (!tree || errors.length > 0) {
		const problems = errors.map(({ error, offset }) => ({
			path: '',
			line: lineAt(text, offset),
			message: `is not JSON, in which a guide is written (${printParseErrorCode(error)})`
		}));
		return { document: undefined, rules: [], problems };
	}
	// Not the tree's own values: those are hash tables, and rules reckon ten times slower with them.
	const document: unknown = JSON.parse(text);
	const withLine = (problem: Problem) => ({ ...problem, line: lineAt(text, nodeAt(tree, problem.path).offset) });
	try {
		const { rules, problems } = inspectPack(document, kinds);
		const strangers = problems.length > 0 || !crops ? [] : unknownCrops(document as PackDocument, crops);
		return { document, rules, problems: [...problems, ...strangers].map(withLine) };
	} catch (error) {
		if (!(error instanceof InputError)) throw error;
		return { document, rules: [], problems: error.problems.map(withLine) };
	}
}

/** The node of a JSON pointer, or the nearest one above it that is there. */
function nodeAt(tree: Node, pointer: string): Node {
	const keys = pointer.split('/').slice(1);
	for (let length = keys.length; length > 0; length--) {
		const path = keys.slice(0, length).map((key) => (/^\d+$/.test(key) ? Number(key) : key));
		const node = findNodeAtLocation(tree, path);
		if (node) return node;
	}
	return tree;
}

function lineAt(text: string, offset: number): number {
	return text.slice(0, offset).split('\n').length;
}
