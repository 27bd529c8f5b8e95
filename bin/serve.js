#!/usr/bin/env node
// Starts the built app, its answers compressed. Only this machine can reach it.
import http from 'node:http';
import { isIPv4 } from 'node:net';
import { constants } from 'node:zlib';
import compression from 'compression';

process.env.HOST ??= '127.0.0.1';
const { HOST } = process.env;
if (HOST !== 'localhost' && HOST !== '::1' && !(isIPv4(HOST) && HOST.startsWith('127.'))) {
	console.error(
		`Cosecha does not start at HOST=${HOST}: whoever reaches that address could read and change the book, for there are no accounts yet. ` +
			'Leave HOST out, or set it to 127.0.0.1, localhost or ::1; from another machine, reach it through an SSH tunnel.'
	);
	process.exit(1);
}
process.env.PORT ??= '4173';
process.env.ORIGIN ??= `http://${HOST === '::1' ? '[::1]' : HOST}:${process.env.PORT}`;
// An exported book may be 200 MB; the routes hold map files, lab files and JSON to less.
process.env.BODY_SIZE_LIMIT ??= '201M';

// `--restore newest`, or the path of a copy: what to do about a book that cannot be opened any more.
const restore = process.argv.indexOf('--restore');
if (restore > 0) process.env.COSECHA_RESTORE = process.argv[restore + 1] ?? 'newest';

// Read once it is known where the app runs.
const { handler } = await import('../build/handler.js');
// One step above the usual quality: a tenth fewer bytes of a page for about two milliseconds.
const compressed = compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } } });
const server = http.createServer((request, response) => {
	// On every answer: the files of the app are served past its hooks.
	response.setHeader('X-Content-Type-Options', 'nosniff');
	compressed(request, response, () => handler(request, response));
});
// Longer than what stands before it or asks it keeps an idle connection: else one is closed while it is asked anew.
server.keepAliveTimeout = 75_000;
server.on('error', (error) => {
	console.error(`Cosecha cannot start at ${process.env.ORIGIN}: ${error.message}`);
	process.exit(1);
});
server.listen(Number(process.env.PORT), process.env.HOST, () => console.log(`Cosecha: ${process.env.ORIGIN}`));
for (const signal of ['SIGINT', 'SIGTERM']) {
	process.once(signal, () => {
		server.close(() => process.exit(0));
		server.closeIdleConnections();
	});
}
