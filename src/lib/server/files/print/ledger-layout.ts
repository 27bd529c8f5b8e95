import type { CustomTableLayout } from 'pdfmake/interfaces';

/** Hairlines between rows, a stronger one under the heading, none on top: our tables on paper. */
export function ledgerLayout(paddingPt: number): CustomTableLayout {
	return {
		hLineWidth: (line) => (line === 1 ? 0.9 : line === 0 ? 0 : 0.4),
		vLineWidth: () => 0,
		paddingLeft: (at) => (at === 0 ? 0 : 5),
		paddingRight: () => 5,
		paddingTop: () => paddingPt,
		paddingBottom: () => paddingPt
	};
}

/** The margin of a paragraph that stands so many points under what is before it. */
export function below(pt: number): [left: number, top: number, right: number, bottom: number] {
	return [0, pt, 0, 0];
}
