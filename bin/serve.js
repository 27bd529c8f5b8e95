#!/usr/bin/env node
// Starts the built app. Only this machine can reach it unless HOST says otherwise.
process.env.HOST ??= '127.0.0.1';
process.env.PORT ??= '4173';
process.env.ORIGIN ??= `http://${process.env.HOST}:${process.env.PORT}`;
// A map file may be 20 MB; the routes hold lab files and JSON to less.
process.env.BODY_SIZE_LIMIT ??= '21M';
await import('../build/index.js');
console.log(`Cosecha: ${process.env.ORIGIN}`);
