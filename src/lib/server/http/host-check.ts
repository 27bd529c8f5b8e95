/** Serve, send the browser to the program's own address, or refuse. */
type HostVerdict = 'serve' | 'refuse' | { moveTo: string };

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Whether a request's Host header may be served. A foreign name that resolves to this machine (DNS rebinding) is
 * refused; the other names of this machine are moved to the one address that forms are accepted from.
 * @param origin the program's own address; undefined in development, where every host is served
 */
export function hostVerdict(host: string | null, url: URL, origin: string | undefined): HostVerdict {
	if (!origin || host === null) return 'serve';
	const own = new URL(origin);
	if (host === own.host) return 'serve';
	const name = host.replace(/:\d+$/, '');
	if (!LOOPBACK.has(name) || !LOOPBACK.has(own.hostname)) return 'refuse';
	if (url.pathname.startsWith('/api/')) return 'serve';
	return { moveTo: `${own.origin}${url.pathname}${url.search}` };
}
