/** A file that was sent and is being read. */
interface FileRead {
	name: string;
	/** When it was sent, ms. */
	since: number;
	giveUp: () => void;
}

/** Files on which somebody waits just now. */
export const filesRead = $state<{ now: FileRead[] }>({ now: [] });

/** Shows that a file is being read while `work` waits for it; its signal tells that the adviser gave it up. */
export async function whileRead<T>(name: string, work: (signal: AbortSignal) => Promise<T>): Promise<T> {
	const leaving = new AbortController();
	const one: FileRead = { name, since: Date.now(), giveUp: () => leaving.abort() };
	filesRead.now = [...filesRead.now, one];
	try {
		return await work(leaving.signal);
	} finally {
		filesRead.now = filesRead.now.filter(({ giveUp }) => giveUp !== one.giveUp);
	}
}
