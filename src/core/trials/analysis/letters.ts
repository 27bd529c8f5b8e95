/**
 * Letters of means: two that share one are not told apart (insert and absorb, Piepho 2004).
 * @param count of means, the highest first
 * @param differ whether two of them are told apart
 */
export function groupLetters(count: number, differ: (a: number, b: number) => boolean): string[] {
	let groups: Set<number>[] = [new Set(Array.from({ length: count }, (_, at) => at))];
	for (let a = 0; a < count; a++) {
		for (let b = a + 1; b < count; b++) {
			if (!differ(a, b)) continue;
			groups = absorbed(
				groups.flatMap((group) => (group.has(a) && group.has(b) ? [less(group, a), less(group, b)] : [group]))
			);
		}
	}
	const ordered = groups.sort((one, other) => Math.min(...one) - Math.min(...other));
	return Array.from({ length: count }, (_, at) =>
		ordered.flatMap((group, letter) => (group.has(at) ? [letterAt(letter)] : [])).join('')
	);
}

function less(group: ReadonlySet<number>, member: number): Set<number> {
	return new Set([...group].filter((one) => one !== member));
}

/** Without the groups that lie within another. */
function absorbed(groups: readonly Set<number>[]): Set<number>[] {
	return groups.filter(
		(group, at) =>
			!groups.some(
				(other, where) =>
					where !== at && [...group].every((one) => other.has(one)) && (group.size < other.size || where < at)
			)
	);
}

const ALPHABET = 26;

function letterAt(index: number): string {
	const letter = String.fromCharCode(97 + (index % ALPHABET));
	return index < ALPHABET ? letter : `${letter}${Math.floor(index / ALPHABET)}`;
}
