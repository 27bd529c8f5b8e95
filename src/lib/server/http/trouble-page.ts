import { refuse } from '../api/refusals';

const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** The answer to every request while the book cannot be opened: a page that says why, or the same as a refusal of the API. */
export function troublePage(pathname: string, message: string): Response {
	if (pathname.startsWith('/api/')) return refuse(503, message);
	const said = message.replace(/[&<>"]/g, (sign) => SIGNS[sign]!);
	const html = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Cosecha</title>
<style>body { max-width: 44rem; margin: 4rem auto; padding: 0 1.5rem; font: 1.05rem/1.5 sans-serif; background: #fbfaf5; color: #1c1c1a; overflow-wrap: anywhere }</style></head>
<body><h1>The book cannot be opened</h1><p>${said}</p><p><a href="">Try again</a></p></body>
</html>`;
	return new Response(html, {
		status: 503,
		headers: { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' }
	});
}
