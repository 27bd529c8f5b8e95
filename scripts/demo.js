// `npm run demo`: installs, builds and starts the app with the made-up district. A book of your own is not touched.
import { installPackages, run } from './install.js';

installPackages();
run('npx', ['--no-install', 'vite', 'build']);
process.env.COSECHA_DB ??= 'data/demo.db';
process.env.COSECHA_DEMO ??= 'demo/district.json';
await import('../bin/serve.js');
