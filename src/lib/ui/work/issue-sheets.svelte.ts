import { call } from '$lib/ui/forms/call';

/** So many sheets are issued before it is said how far it is, and may be left off. */
const AT_ONCE = 25;

/** The sheets of many fields, issued some at a time. */
export class IssueSheets {
	busy = $state(false);
	notice = $state('');
	problem = $state('');
	/** Fields whose sheet was not issued, and why, those with stops first. */
	left = $state<{ id: string; field: string; why: string; stops: number }[]>([]);
	/** Of those that want a reason, the ones that are issued with it. */
	ticked = $state<string[]>([]);
	reason = $state('');
	#leaveOff = false;

	/** Those with stops wait for a tick and a reason. */
	get waiting() {
		return this.left.filter(({ stops }) => stops > 0);
	}

	issueTicked(year: number): Promise<void> {
		return this.issue(year, [...this.ticked], this.reason.trim());
	}

	async issue(year: number, fields: readonly string[], reason?: string): Promise<void> {
		this.busy = true;
		this.#leaveOff = false;
		this.problem = '';
		this.left = reason === undefined ? [] : this.left.filter(({ id }) => !fields.includes(id));
		this.ticked = [];
		let done = 0;
		for (let at = 0; at < fields.length && !this.#leaveOff && !this.problem; at += AT_ONCE) {
			this.notice = fields.length > AT_ONCE ? `${at} of ${fields.length} fields are done.` : '';
			const some = fields.slice(at, at + AT_ONCE);
			const { answer, problem } = await call(
				'POST /api/sheets',
				{},
				{ year, fields: some, ...(reason ? { reason } : {}) }
			);
			this.problem = problem ?? '';
			this.left = [...this.left, ...(answer?.left ?? [])].sort((a, b) => b.stops - a.stops);
			done += answer?.issued.length ?? 0;
		}
		this.busy = false;
		this.notice = done > 0 || !this.problem ? `${done} sheets issued.` : '';
	}

	leaveOff(): void {
		this.#leaveOff = true;
	}
}
