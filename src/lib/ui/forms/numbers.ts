/** The number in a text field; undefined where it is empty or no number. "1,240.5" is read, "1,5" is not. */
export function numberOrUndefined(text: string | number | null | undefined): number | undefined {
	if (typeof text === 'number') return Number.isFinite(text) ? text : undefined;
	const plain = (text ?? '').trim();
	if (!/^-?(\d+|\d{1,3}(,\d{3})+)?(\.\d+)?$/.test(plain) || plain === '' || plain === '-') return undefined;
	const value = Number(plain.replaceAll(',', ''));
	return Number.isFinite(value) ? value : undefined;
}
