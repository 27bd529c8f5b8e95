import GuideWorker from '../../../../workers/guide.worker?worker';
import type { ExampleOutcome, GuideAnswer, GuideRequest, MovedFieldRate } from '../../../../workers/guide-messages';
import type { GuideProblem } from './send-guide';

/** A guide's text on trial in a worker: problems, examples, and the rates that move. */
export class GuideTrial {
	problems = $state.raw<GuideProblem[]>([]);
	examples = $state.raw<ExampleOutcome[]>([]);
	moved = $state.raw<MovedFieldRate[] | undefined>();
	fields = $state(0);
	progress = $state.raw<{ done: number; total: number } | undefined>();
	/** The text the last check was made on. */
	checked = $state(false);

	#worker = new GuideWorker();
	#id = 0;

	constructor() {
		this.#worker.onmessage = ({ data }: MessageEvent<GuideAnswer>) => this.#hear(data);
	}

	/** Hands over the open fields, once. */
	async start(): Promise<void> {
		const response = await fetch('/api/guides/fields');
		this.#send({ kind: 'fields', open: await response.json() });
	}

	try(text: string): void {
		this.#send({ kind: 'try', text, id: ++this.#id });
		this.checked = false;
	}

	/** Leaves off comparing; what was checked stays. */
	cancel(): void {
		this.#send({ kind: 'cancel' });
		this.progress = undefined;
	}

	stop(): void {
		this.#worker.terminate();
	}

	#send(request: GuideRequest): void {
		this.#worker.postMessage(request);
	}

	#hear(answer: GuideAnswer): void {
		if (answer.id !== this.#id) return;
		if (answer.kind === 'checked') {
			this.problems = answer.problems;
			this.examples = answer.examples;
			this.checked = true;
			if (answer.problems.length > 0) this.progress = undefined;
		} else if (answer.kind === 'progress') {
			this.progress = { done: answer.done, total: answer.total };
		} else {
			this.moved = answer.moved;
			this.fields = answer.fields;
			this.progress = undefined;
		}
	}
}
