/** How far a field is in a year, as the roster counts it. */
interface FarAlong {
	samples: number;
	crop: string | null;
	choices: number;
	passes: number;
	sheets: number;
}

/** What a field may wait for, in the order of the work, with the word of the work line where it is done. */
export const WORK = {
	sample: { word: 'ground', text: 'needs a soil sample' },
	goal: { word: 'rates', text: 'needs a crop and goal' },
	rates: { word: 'rates', text: 'rates to choose' },
	passes: { word: 'season', text: 'passes to plan' },
	sheet: { word: 'sheet', text: 'sheet to issue' },
	done: { word: 'sheet', text: 'sheet issued' }
} as const;

export type Work = keyof typeof WORK;

/** The first thing still to be done on a field. */
export function nextToDo({ samples, crop, choices, passes, sheets }: FarAlong): Work {
	if (samples === 0) return 'sample';
	if (crop === null) return 'goal';
	if (choices === 0) return 'rates';
	if (passes === 0) return 'passes';
	return sheets === 0 ? 'sheet' : 'done';
}
