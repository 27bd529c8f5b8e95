import type { Basis } from '$core/schema-types';

/** Where a figure comes from, in a sentence for the adviser. */
export function basisText({ basis, citation }: { basis: Basis; citation?: string | undefined }): string {
	switch (basis) {
		case 'published':
			return sentence('Published', citation);
		case 'memory':
			return `${sentence('Published', citation)} Value written from memory.`;
		case 'practice':
			return 'Common practice.';
		case 'adviser':
			return sentence('Set by the adviser', citation);
		case 'measured':
			return sentence('Measured', citation);
	}
}

/** A citation may be whole sentences of its own. */
function sentence(what: string, citation: string | undefined): string {
	return citation ? `${what}: ${citation.replace(/\.$/, '')}.` : `${what}.`;
}
