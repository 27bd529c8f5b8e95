import { methodName, methodsOf } from '../../../../core/ground/lab-file/lab-methods';
import type { CecLine } from '../../../../core/packs/cec-line';
import { sharedParameters } from '../../../../core/packs/parameters-of';
import { CALIBRATED_ANALYTE, CALIBRATED_GUIDE } from '../../../../core/trials/calibration/calibrated-guide';
import { entriesOf } from '../../../../core/check/typed-object';
import type { LeafRanges } from '../../../../core/schema-types';
import type { Desk } from '../../desk';
import { sitesOfTrials } from '../../field/trials/sites-of-trials';
import { listGuides } from '../../stores/guides';

/** What a critical value of a guide says, by crop and analyte. */
interface GuideLevel {
	crop: string;
	analyte: string;
	text: string;
}

/** The page on which a soil or leaf test is calibrated from sites: what may be calibrated, and what guides say beside it. */
export function calibratePage(desk: Desk) {
	const { book, library } = desk;
	const crops = library.crops.map(({ id, name }) => ({ id, name }));
	return {
		title: 'Calibrate a test',
		crops,
		nutrients: entriesOf(CALIBRATED_ANALYTE).map(([nutrient, analyte]) => ({
			nutrient,
			analyte,
			methods: methodsOf(analyte).map((method) => ({ method, name: methodName(method) }))
		})),
		levels: levelsOf(library),
		/** Ranges of leaves that stand, by what they are for. */
		leafRanges: library.leafRanges.map((ranges) => ({ name: nameOfRanges(ranges, crops), ranges })),
		fromTrials: sitesOfTrials(desk),
		guide: listGuides(book).find(({ document }) => document.id === CALIBRATED_GUIDE)?.document
	};
}

function levelsOf({ packs, crops }: Desk['library']): GuideLevel[] {
	return packs.rules.flatMap((compiled): GuideLevel[] => {
		const { rule, pack } = compiled;
		const { soilTest } = rule;
		if (!soilTest || rule.gives === 'relative-yield') return [];
		const methods = soilTest.methods.map(methodName).join(', ');
		return crops.flatMap(({ id }) => {
			const { criticalLevelPpm: level } = sharedParameters<{ criticalLevelPpm: CecLine }>(compiled, id);
			if (!level) return [];
			const slope = level.perCec ? ` + ${level.perCec} x CEC` : '';
			const text = `${pack.title}: ${level.constant}${slope} ppm by ${methods}`;
			return [{ crop: id, analyte: soilTest.analyte, text }];
		});
	});
}

/** "Corn, ear leaf, R1"; with the years of a crop that stands for many. */
function nameOfRanges(
	{ crop, part, when, fromAge, toAge }: LeafRanges,
	crops: readonly { id: string; name: string }[]
): string {
	const years =
		fromAge === undefined && toAge === undefined ? '' : `, year ${fromAge ?? 1}${toAge ? ` to ${toAge}` : ' on'}`;
	return `${crops.find(({ id }) => id === crop)?.name ?? crop}, ${part}, ${when}${years}`;
}
