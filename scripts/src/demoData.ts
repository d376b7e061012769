import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { packDemo, type DemoTake } from '@inner-hum/core/formats';
import { mapScenes } from './demo/mapScenes.ts';
import { SOFT_ENTRY } from './demo/ownExercise.ts';
import { playTake } from './demo/playTake.ts';
import { playSheets } from './demo/sheets.ts';
import { gearOn, STORY } from './demo/story.ts';
import { AIMS, TRIALS, trialScenes } from './demo/trialScenes.ts';
import { SETTLED, voicingScenes } from './demo/voicingScenes.ts';
import { weekScenes } from './demo/weekScenes.ts';

// `npm run demo-data`: twelve weeks of an invented player, played by the simulated player, heard and judged by the core. The same every time.
const file = join(import.meta.dirname, '../../web/public/demo/twelve-weeks.zip');
const begun = performance.now();

const scenes = [weekScenes(), voicingScenes(), mapScenes(), trialScenes()];
const beside = scenes
  .flatMap(({ takes }) => takes)
  .map(({ hour, ...told }, i): DemoTake =>
    playTake({
      ...told,
      id: `demo-scene-${i}`,
      second: Math.round(3600 * hour),
      hornId: 'alto',
      gear: gearOn('alto', told.daysAgo),
      seed: 100 + i,
    }),
  );
const sheets = playSheets(beside, (daysAgo) => {
  if (daysAgo % 14 === 0) console.log(`${daysAgo} days ago`);
});
const takes = [...beside, ...sheets].toSorted((a, b) => b.daysAgo - a.daysAgo || a.second - b.second);
const bytes = packDemo({
  ...STORY,
  takes,
  rounds: scenes.flatMap(({ rounds }) => rounds),
  trials: TRIALS.map(({ answersMs, spreadCents, ...trial }) => trial),
  aims: AIMS,
  settled: SETTLED,
  exercises: [SOFT_ENTRY],
});
mkdirSync(join(file, '..'), { recursive: true });
writeFileSync(file, bytes);
const judged = takes.flatMap(({ analysis }) => analysis?.items.filter(({ verdict }) => verdict) ?? []).length;
console.log(
  `${takes.length} takes, ${judged} judged notes, ${(bytes.length / 1024).toFixed(0)} kB, ` +
    `${((performance.now() - begun) / 1000).toFixed(0)} s`,
);
