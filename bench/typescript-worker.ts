import { Worker, type WorkerOptions } from 'node:worker_threads';

/** A worker thread on a TypeScript file. Node 20 does not hand the loader on to a worker; it takes it up itself. */
export function typescriptWorker(url: string, options: WorkerOptions = {}): Worker {
	const start = `import('tsx/esm/api').then((tsx) => (tsx.register(), import(${JSON.stringify(url)})));`;
	return new Worker(start, { ...options, eval: true });
}
