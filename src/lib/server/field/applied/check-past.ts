import { InputError } from '../../../../core/check/problem';

/**
 * What is recorded has happened.
 * @throws InputError for a day after today, naming both
 */
export function checkPast(day: string, today: string, path: string): void {
	if (day <= today) return;
	throw new InputError([{ path, message: `must be no later than today, ${today}; got "${day}"` }]);
}
