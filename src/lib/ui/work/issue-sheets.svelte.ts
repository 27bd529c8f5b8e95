import { call } from '$lib/ui/forms/call';

/** So many sheets are issued before it is said how far it is, and may be left off. */
const AT_ONCE = 25;

/** The sheets of many fields, issued some at a time. */
export class IssueSheets {
	busy = $state(false);
	notice = $state('');
	problem = $state('');
	/** Fields whose sheet could not be issued, and why. */
	left = $state<{ field: string; why: string }[]>([]);
	#leaveOff = false;

	async issue(year: number, fields: readonly string[]): Promise<void> {
		this.busy = true;
		this.#leaveOff = false;
		this.problem = '';
		this.left = [];
		let done = 0;
		for (let at = 0; at < fields.length && !this.#leaveOff && !this.problem; at += AT_ONCE) {
			this.notice = fields.length > AT_ONCE ? `${at} of ${fields.length} fields are done.` : '';
			const some = fields.slice(at, at + AT_ONCE);
			const { answer, problem } = await call('POST /api/sheets', {}, { year, fields: some });
			this.problem = problem ?? '';
			this.left = [...this.left, ...(answer?.left ?? [])];
			done += answer?.issued.length ?? 0;
		}
		this.busy = false;
		this.notice = done > 0 || !this.problem ? `${done} sheets issued.` : '';
	}

	leaveOff(): void {
		this.#leaveOff = true;
	}
}
