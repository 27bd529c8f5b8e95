import GroundWorker from '../../../../workers/ground.worker?worker';
import type { GroundMessage, GroundReply } from '../../../../workers/ground-messages';

type Asked = GroundMessage extends infer M ? (M extends GroundMessage ? Omit<M, 'id'> : never) : never;

/** A surface or zones being worked out away from the page; leaving off ends the worker. */
export class GroundRun {
	busy = $state(false);

	#worker: Worker | undefined;
	#id = 0;
	readonly #hear: (reply: GroundReply) => void;

	constructor(hear: (reply: GroundReply) => void) {
		this.#hear = hear;
	}

	ask(message: Asked): void {
		this.stop();
		this.busy = true;
		const id = ++this.#id;
		this.#worker = new GroundWorker();
		this.#worker.onmessage = ({ data }: MessageEvent<GroundReply>) => {
			if (data.id !== this.#id) return;
			this.busy = false;
			this.#hear(data);
		};
		this.#worker.postMessage({ ...message, id });
	}

	stop(): void {
		this.#worker?.terminate();
		this.#worker = undefined;
		this.busy = false;
	}
}
