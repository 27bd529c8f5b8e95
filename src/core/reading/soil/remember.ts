/**
 * A memory of one thing about objects that never change: made when first asked for, kept on the object itself.
 * Not a WeakMap: over tens of thousands of zones the collector spends more time on its entries than the reading
 * takes.
 */
export function remember<K extends object, T extends object>(): (about: K, make: (about: K) => T) => T {
	const key = Symbol('remembered');
	return (about, make) => {
		const holder = about as { [key]?: T };
		return (holder[key] ??= make(about));
	};
}
