import type { FitAnswer, FitRequest } from '$core/schema-types';
import FitWorker from '../../../../workers/fit.worker?worker';
import type { FitMessage, FitReply } from '../../../../workers/fit-messages';

/** A trial's fit in a worker: how far it is, and what came out. */
export class TrialFit {
	answer = $state.raw<FitAnswer | undefined>();
	progress = $state.raw<{ done: number; total: number } | undefined>();

	#worker = new FitWorker();
	#id = 0;

	constructor() {
		this.#worker.onmessage = ({ data }: MessageEvent<FitReply>) => this.#hear(data);
	}

	fit(request: FitRequest): void {
		this.answer = undefined;
		this.progress = { done: 0, total: request.replicates ?? 0 };
		this.#send({ kind: 'fit', id: ++this.#id, request });
	}

	cancel(): void {
		this.#id++;
		this.progress = undefined;
		this.#send({ kind: 'cancel' });
	}

	stop(): void {
		this.#worker.terminate();
	}

	#send(message: FitMessage): void {
		this.#worker.postMessage(message);
	}

	#hear(reply: FitReply): void {
		if (reply.id !== this.#id) return;
		if (reply.kind === 'progress') return void (this.progress = { done: reply.done, total: reply.total });
		this.answer = reply.answer;
		this.progress = undefined;
	}
}
