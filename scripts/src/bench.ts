import { benchEar } from './ear/benchEar.ts';
import { benchInterface } from './benchInterface.ts';

// npm run bench: measures everything and writes docs/benchmarks.md and docs/hearing.md; with `page` or `ear`, one of them.
const only = process.argv[2];
if (only !== 'ear') await benchInterface();
if (only !== 'page') await benchEar();
