import { withoutEmpty } from '../../check/typed-object';
import type { Pass, Remedy } from '../../schema-types';
import { longDate } from '../../units/day-text';

/** The remedy that puts a pass on another day. */
export function movedTo(pass: Pass, date: string, why = ''): Remedy {
	return { label: `Move it to ${longDate(date)}${why ? ` (${why})` : ''}`, passes: [{ ...pass, date }] };
}

/** The same on top of the crop. */
export function onTopOf(pass: Pass): Pass {
	return withoutEmpty({ ...pass, placement: 'top-dress' as const, depthIn: undefined, offsetIn: undefined });
}

/** With one more inhibitor than it has. */
export function guardedBy(pass: Pass, inhibitor: 'urease inhibitor' | 'nitrification inhibitor'): Remedy {
	const other = pass.additive !== undefined && pass.additive !== inhibitor;
	return { label: `Add a ${inhibitor}`, passes: [{ ...pass, additive: other ? 'both inhibitors' : inhibitor }] };
}
