const READS = new Set(['GET', 'HEAD', 'OPTIONS']);

/** How a browser says that a request comes from the program's own pages, or from nobody's: the address line. */
const OWN_SITE = new Set(['same-origin', 'none']);

/**
 * Whether a request that changes something was sent by a page of another site. Programs send neither header and are served.
 * @param origin the program's own address; undefined in development
 */
export function isForeignWrite(method: string, headers: Headers, origin: string | undefined): boolean {
	if (READS.has(method)) return false;
	const site = headers.get('sec-fetch-site');
	if (site !== null && !OWN_SITE.has(site)) return true;
	const from = headers.get('origin');
	return from !== null && origin !== undefined && from !== origin;
}
