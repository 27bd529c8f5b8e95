import { figure, notApplicable, type Answer } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { DecisionPlan, InSeason, ReferenceStrips } from '../../schema-types';
import { longDate } from '../../units/day-text';
import { shiftDate } from '../weather/season-weather';

/** A test from so many days before the look still speaks for its day: judgement. */
const FRESH_DAYS = 10;

/**
 * What the tests of the crop on the farm show for a decision: nitrate-N, ppm, or the crop against its N-rich strip, percent.
 * @returns does not apply where there is no test, or only one from long before the look
 */
export function testSeen(
	{ name, look, on }: Pick<DecisionPlan, 'name' | 'on'> & { look: 'test' | 'strips' },
	{ nitrate, strips }: InSeason
): Answer {
	const found = look === 'test' ? nitrate : strips;
	const what = look === 'test' ? 'nitrate test in the crop' : 'reading of the N-rich strip';
	const first = shiftDate(on, -FRESH_DAYS);
	if (!found || (found.date !== undefined && found.date < first)) {
		const old = found?.date === undefined ? '' : `; the newest is of ${longDate(found.date)}`;
		return notApplicable(
			name,
			`there is no ${what} from ${longDate(first)} or later${old}`,
			'Record it under Scouting.',
			`a ${what}`
		);
	}
	if (look === 'strips') return againstRich(name, strips!);
	const { nitratePpm, depthIn } = nitrate!;
	return measured(`${name}: nitrate-N, 0-${depthIn} in`, nitratePpm, 'ppm');
}

/** The crop against its N-rich strips, percent: by canopy index, else by the yields that both promise; zones weigh alike. */
function againstRich(name: string, { zones }: ReferenceStrips): Answer {
	const parts = zones.flatMap(({ name: zone, index, richIndex, yieldWithout, yieldRich }) => {
		const [own, rich] = index !== undefined ? [index, richIndex!] : [yieldWithout, yieldRich!];
		if (rich === 0) return [];
		return [
			figure({
				label: zone,
				value: (100 * own) / rich,
				unit: '%',
				formula: '100 x crop / N-rich strip',
				inputs: [measured('crop', own), measured('N-rich strip', rich)],
				basis: 'measured'
			})
		];
	});
	if (parts.length === 0) return notApplicable(name, 'the N-rich strip yields nothing', 'Correct it under Scouting.');
	return figure({
		label: `${name}: the crop against its N-rich strip`,
		value: parts.reduce((sum, { value }) => sum + value, 0) / parts.length,
		unit: '%',
		formula: parts.length > 1 ? 'mean of the zones' : '100 x crop / N-rich strip',
		inputs: parts.length > 1 ? parts : parts[0]!.inputs,
		basis: 'measured'
	});
}
