/** The keys of a record that holds no others than its type names, as all records made from our schemas do. */
export function keysOf<K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] {
	return Object.keys(record) as K[];
}

/** Its entries; a key that is there holds a value. */
export function entriesOf<K extends string, V>(record: Readonly<Partial<Record<K, V>>>): [K, V][] {
	return Object.entries(record) as [K, V][];
}

/** The same without the keys that hold nothing: rows hold null, requests leave a key out. */
export function withoutEmpty<T extends object>(value: T): T {
	return Object.fromEntries(Object.entries(value).filter(([, part]) => part !== undefined && part !== null)) as T;
}

/** Whether a text is one of a list. */
export function isOneOf<K extends string>(list: readonly K[], text: string): text is K {
	return list.some((one) => one === text);
}
