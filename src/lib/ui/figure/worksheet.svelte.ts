import type { Answer } from '$core/figure/figure';

/** The worksheet that is open at the right of the page, if any. */
class OpenWorksheet {
	answer = $state.raw<Answer | undefined>();
	/** What had the focus before, to give it back on closing. */
	#opener: HTMLElement | null = null;

	open(answer: Answer): void {
		this.#opener = document.activeElement as HTMLElement | null;
		this.answer = answer;
	}

	close(): void {
		this.answer = undefined;
		this.#opener?.focus();
	}
}

export const worksheet = new OpenWorksheet();
