let pressed = false;

if (typeof window !== 'undefined') {
	addEventListener('pointerdown', () => (pressed = true), true);
	for (const end of ['pointerup', 'pointercancel']) addEventListener(end, () => (pressed = false), true);
}

/**
 * Does something at once or, while a button is being pressed, after that: what grows under the pointer between press and
 * release would have the press lost.
 */
export function afterPress(work: () => void): void {
	if (!pressed) return work();
	for (const end of ['pointerup', 'pointercancel']) {
		// The click comes with the release.
		addEventListener(end, () => setTimeout(work), { once: true });
	}
}
