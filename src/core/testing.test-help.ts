import { readFileSync } from 'node:fs';
import path from 'node:path';
import { readLibrary } from '../lib/server/knowledge';
import type { AdviseRequest, Result } from './schema-types';

/** The shipped packs, as every test uses them. */
export const library = readLibrary(path.resolve('packs'));

/** The shipped example request: 0-8 in, pH 5.6, SMP 6.4, Bray P1 10, K 120, CEC 16, corn 160 bu after soybean. */
export function cornRequest(): AdviseRequest {
	return JSON.parse(readFileSync('demo/requests/corn-after-soybean.json', 'utf8')) as AdviseRequest;
}

/** The same with some results replaced or, where undefined, left out. */
export function cornRequestWith(
	changes: Partial<Record<Result['analyte'], Omit<Result, 'analyte'> | undefined>>
): AdviseRequest {
	const request = cornRequest();
	const layer = request.sample.layers[0]!;
	const kept = layer.results.filter(({ analyte }) => !(analyte in changes));
	const added = Object.entries(changes).flatMap(([analyte, result]) =>
		result ? [{ analyte: analyte as Result['analyte'], ...result }] : []
	);
	layer.results = [...kept, ...added];
	return request;
}
