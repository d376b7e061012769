import { benchDay } from './benchDay.ts';
import { benchEar } from './ear/benchEar.ts';
import { benchInterface } from './benchInterface.ts';
import { benchJudge } from './benchJudge.ts';
import { benchMap } from './benchMap.ts';
import { renderModelTakes } from './ear/modelTakes.ts';
import { benchTakes } from './ear/takesInRooms.ts';

// npm run bench: measures everything and writes docs/benchmarks.md, docs/hearing.md, docs/takes.md and docs/map.md; with `page`, `ear`, `takes`, `map` or `judge` (printed only), one of
// them; `takes` with a word plays only the origins in whose name it stands (`hand`, `Recorded`). `fixtures` renders the takes of the physical model again that the verdicts' tests hear. `day` is asked for by name only: it plays two hours' worth of takes and prints what they leave in memory.
const PARTS = {
  page: benchInterface,
  ear: benchEar,
  map: benchMap,
  judge: benchJudge,
  takes: () => benchTakes(process.argv.at(3)),
};
const only = process.argv[2];
if (only === 'day') await benchDay();
if (only === 'fixtures') await renderModelTakes();
for (const [name, run] of Object.entries(PARTS)) if (only === undefined || only === name) await run();
