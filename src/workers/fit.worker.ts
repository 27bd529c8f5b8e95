// Fits a trial's curves and their bootstrap, a step at a time, so that it can be cancelled.
import { fitTrialInSteps } from '$core/rates/nitrogen/response/answer-fit';
import type { FitRequest } from '$core/schema-types';
import type { FitMessage, FitReply } from './fit-messages';

/** The newest request; an older one leaves off when it sees that it is no longer it. */
let newest = 0;

self.onmessage = ({ data }: MessageEvent<FitMessage>) => {
	if (data.kind === 'cancel') newest++;
	else void fit(data.request, (newest = data.id));
};

async function fit(request: FitRequest, id: number): Promise<void> {
	const steps = fitTrialInSteps(request);
	for (;;) {
		const step = steps.next();
		if (step.done) return tell({ kind: 'fitted', id, answer: step.value });
		tell({ kind: 'progress', id, ...step.value });
		await new Promise((resume) => setTimeout(resume));
		if (id !== newest) return;
	}
}

function tell(reply: FitReply): void {
	self.postMessage(reply);
}
