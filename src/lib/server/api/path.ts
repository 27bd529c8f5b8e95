import type { Operation } from './operation';

/** Method and path of an operation's key. */
export function methodAndPath(key: string): { method: string; path: string } {
	const [method = '', path = ''] = key.split(' ');
	return { method, path };
}

/** The parts of an address by a path's names, decoded; undefined where the address is another one. */
function match(path: string, address: string): Record<string, string> | undefined {
	const wanted = path.split('/');
	const given = address.split('/');
	if (wanted.length !== given.length) return undefined;
	const params: Record<string, string> = {};
	for (const [at, part] of wanted.entries()) {
		const text = given[at]!;
		const name = /^\{(\w+)\}$/.exec(part)?.[1];
		if (name === undefined) {
			if (text !== part) return undefined;
			continue;
		}
		const decoded = decodedPart(text);
		if (decoded === undefined || decoded === '') return undefined;
		params[name] = decoded;
	}
	return params;
}

function decodedPart(text: string): string | undefined {
	try {
		return decodeURIComponent(text);
	} catch {
		return undefined;
	}
}

/** What answers an address: the operation with the parts of its address, or the methods that the address does know. */
export type Route<T> = { operation: T; params: Record<string, string> } | { methods: string[] };

/** The operation for a method at an address. One whose path has no names goes before one that has. */
export function routeOf<T extends Pick<Operation, 'key'>>(
	operations: readonly T[],
	method: string,
	address: string
): Route<T> {
	const fitting = operations.flatMap((operation) => {
		const known = methodAndPath(operation.key);
		const params = match(known.path, address);
		return params ? [{ operation, params, method: known.method }] : [];
	});
	const fewest = Math.min(...fitting.map(({ params }) => Object.keys(params).length));
	const nearest = fitting.filter(({ params }) => Object.keys(params).length === fewest);
	const found = nearest.find((one) => one.method === method);
	return found ?? { methods: nearest.map((one) => one.method) };
}
