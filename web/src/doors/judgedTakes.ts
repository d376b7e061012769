import { notesToCsv, notesToJson, takesToCsv } from '@inner-hum/core/formats';
import { headlineOf } from '@inner-hum/core/headline';
import { practisedNotes } from '@inner-hum/core/practice';
import { observationsIn } from '@inner-hum/core/tendency';
import { HEADLINE_DRILLS, runRow } from '@inner-hum/core/verdicts';
import type { TFunction } from 'i18next';
import { findingText, headlineText, playedOf } from '../notation/index.ts';
import { InkTrack, writtenInk } from '../ribbon/index.ts';
import { takeKeys, type TakeRecord } from '../storage/index.ts';
import { TEST_TAKE, testContext } from '../storage/testTake.ts';

/** One judged take of every family, with a fault where it has one. */
export const JUDGED_TAKES: readonly TakeRecord[] = HEADLINE_DRILLS.map((drill, i) => {
  const row = drill.rows[i % drill.rows.length];
  const hornId = drill.hornId ?? 'alto';
  const { written, analysis } = runRow(
    {
      family: drill.family,
      hornId,
      phrase: row.phrases?.[0] ?? drill.phrase ?? 0,
      choices: row.choices ?? drill.choices ?? {},
      played: row.played,
      change: row.change ?? ((exercise) => exercise),
      faults: row.faultsAt?.[0] ?? row.faults ?? [],
      profile: row.profile ?? {},
      wanted: 'passes',
    },
    'truth',
    7,
  );
  return {
    ...TEST_TAKE,
    id: drill.family,
    state: 'kept',
    startedAt: Date.UTC(2026, 2, 14),
    hornId,
    loudness: { softDb: -40, loudDb: -20 },
    playingLoad: { playedSeconds: 3, highSeconds: 0, loudSeconds: 1 },
    context: { ...testContext(written), hornId },
    analysis,
  };
});

/** All that the rooms ask of a take. */
export function readTake(take: TakeRecord, t: TFunction): void {
  takeKeys(take);
  headlineText([take], [], 'letters', t);
  const { context, analysis } = take;
  if (context) new InkTrack(writtenInk({ ...context, scale: take.scale }, analysis?.beatZeroSeconds ?? 0));
  if (!context || !analysis) return;
  headlineOf(playedOf(take));
  practisedNotes(context, analysis, take);
  observationsIn(context, analysis);
  for (const { findings } of [analysis.verdict, ...analysis.items.flatMap(({ verdict }) => verdict ?? [])])
    for (const finding of findings) findingText(finding, 'letters', t);
  notesToCsv([take]);
  notesToJson([take]);
  takesToCsv([take]);
}
