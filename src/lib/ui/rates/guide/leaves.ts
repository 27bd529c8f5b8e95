/** A number or word in a rule's coefficients, and where it stands. */
export interface Leaf {
	/** Keys from the coefficients down: `['lines', 0, 'constant']`. */
	path: (string | number)[];
	/** "lines 1, constant" */
	label: string;
	value: number | string | boolean;
}

/** Every value in nested coefficients, in their order. */
export function leavesOf(value: unknown, path: (string | number)[] = []): Leaf[] {
	if (typeof value === 'number' || typeof value === 'string' || typeof value === 'boolean') {
		return [{ path, label: labelOf(path), value }];
	}
	if (typeof value !== 'object' || value === null) return [];
	const entries = Array.isArray(value) ? [...value.entries()] : Object.entries(value);
	return entries.flatMap(([key, part]) => leavesOf(part, [...path, key]));
}

/** The same coefficients with one value changed. */
export function withLeaf<T>(root: T, path: readonly (string | number)[], value: Leaf['value']): T {
	const [key, ...rest] = path;
	if (key === undefined) return value as T;
	const holder = root as Record<string | number, unknown>;
	const changed = withLeaf(holder[key], rest, value);
	if (Array.isArray(root)) return root.map((part, index) => (index === key ? changed : part)) as T;
	return { ...holder, [key]: changed } as T;
}

/** "criticalLevelPpm" reads "critical level ppm". */
function labelOf(path: readonly (string | number)[]): string {
	return path
		.map((key) => (typeof key === 'number' ? String(key + 1) : key.replace(/([A-Z])/g, ' $1').toLowerCase()))
		.join(', ')
		.replace(/, (\d+)/g, ' $1');
}

/** The next patch version: 1.0.0 becomes 1.0.1. */
export function nextVersion(version: string): string {
	const [major = '1', minor = '0', patch = '0'] = version.split('.');
	return `${major}.${minor}.${Number(patch) + 1}`;
}
