import type { Basis } from '$core/schema-types';

/** Where a figure comes from, in a sentence for the adviser. */
export function basisText({ basis, citation }: { basis: Basis; citation?: string | undefined }): string {
	switch (basis) {
		case 'published':
			return `Published: ${citation}.`;
		case 'memory':
			return `Published: ${citation}. Value written from memory.`;
		case 'practice':
			return 'Common practice.';
		case 'adviser':
			return 'Set by the adviser.';
		case 'measured':
			return 'Measured.';
	}
}
