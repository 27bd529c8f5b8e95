// Tries programmes over many simulated seasons. Cancelled by ending the worker.
import { stressTest } from '$core/season/model/stress-test';
import type { StressRequest, StressReply } from './stress-messages';

/** Seasons between two reports. */
const STEP = 10;

self.onmessage = ({ data: { setup, seasons } }: MessageEvent<StressRequest>) => {
	const { programmes, knowledge, grainPrice } = setup;
	const steps = stressTest(programmes, seasons, knowledge.stations[0]!, knowledge, grainPrice);
	for (;;) {
		const step = steps.next();
		if (step.done) return tell({ kind: 'tried', outcome: step.value });
		if (step.value.done % STEP === 0) tell({ kind: 'progress', ...step.value });
	}
};

function tell(reply: StressReply): void {
	self.postMessage(reply);
}
