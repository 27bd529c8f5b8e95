import { answerTrial } from '../src/core/trials/answer-trial';
import type { TrialRequest } from '../src/core/schema-types';
import { medianMs } from './median-ms';

/** 7 rates x 3 placements x 6 blocks in a split plot, each subplot weighed at 20 places: 2,520 plots. */
const PLACES = 20;
const observations: TrialRequest['observations'] = [];
for (let block = 0; block < 6; block++) {
	for (let rate = 0; rate < 7; rate++) {
		for (let placement = 0; placement < 3; placement++) {
			for (let place = 0; place < PLACES; place++) {
				const noise = ((block * 31 + rate * 17 + placement * 7 + place * 13) % 11) - 5;
				observations.push({
					block,
					levels: { rate, placement },
					yield: 120 + 10 * Math.min(rate, 4) + 3 * placement + noise
				});
			}
		}
	}
}
const request: TrialRequest = { design: 'split-plot', factors: ['rate', 'placement'], wholePlot: 'rate', observations };
let rows = 0;
const ms = medianMs(20, () => {
	rows = answerTrial(request).anova.length;
});
console.log(ms, rows);
