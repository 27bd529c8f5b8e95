/** What the adviser asked for cannot be done; the message is for the adviser. */
export class ActionError extends Error {
	constructor(message: string) {
		super(message);
		this.name = 'ActionError';
	}
}
