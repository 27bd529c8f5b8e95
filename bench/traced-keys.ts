import type { CDPSession } from '@playwright/test';

/** An event of a browser trace, as far as the times of keys and pointers need it. */
interface TraceEvent {
	name: string;
	ph: string;
	ts: number;
	id2?: { local?: string };
	args: { data?: { type?: string } };
}

/**
 * Milliseconds from the arrival of each event of a type to the paint that shows what it did, by the browser's own event
 * timings, in order of size.
 */
export async function traced(session: CDPSession, type: string, work: () => Promise<void>): Promise<number[]> {
	const events: TraceEvent[] = [];
	session.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
	const ended = new Promise<void>((resolve) => session.once('Tracing.tracingComplete', () => resolve()));
	await session.send('Tracing.start', { categories: 'devtools.timeline', transferMode: 'ReportEvents' });
	await work();
	await session.send('Tracing.end');
	await ended;
	return timesOf(events, type).sort((a, b) => a - b);
}

export function quantile(sorted: readonly number[], share: number): number {
	return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

function timesOf(events: readonly TraceEvent[], type: string): number[] {
	const starts = new Map<string, number>();
	return events.flatMap(({ name, ph, ts, id2, args }) => {
		if (name !== 'EventTiming') return [];
		const id = id2?.local ?? '';
		if (ph === 'b' && args.data?.type === type) starts.set(id, ts);
		const start = starts.get(id);
		if (ph !== 'e' || start === undefined) return [];
		starts.delete(id);
		return [(ts - start) / 1000];
	});
}
