import { expect, it } from 'vitest';
import { controlProblem, withoutControls } from './control-characters';

it('names the place of the first control character, in texts and in keys', () => {
	expect(controlProblem({ fields: [{ name: 'Mill\u0007 Strip' }] })).toEqual({
		path: '/fields/0/name',
		message: 'must hold no control character; U+0007 stands at place 5'
	});
	expect(controlProblem({ 'a\u0000': 1 })).toMatchObject({ path: '/a' });
	expect(controlProblem('\u007F')).toMatchObject({ message: expect.stringContaining('U+007F') as string });
});
it('lets lines, tabs, letters of every script and numbers be', () => {
	expect(
		controlProblem({ note: 'Wet knob\n\tseeded twice\r\n', name: 'Söller 地块 🌾', values: [1, null, true] })
	).toBeUndefined();
	expect(withoutControls('a\u0001b\nc\uFFFE')).toBe('ab\nc');
});
