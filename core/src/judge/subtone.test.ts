import { expect, it } from 'vitest';
import { DEFAULT_SCALE, familyById, parseExercise, phraseExercise } from '../exercise/index.ts';
import { hornById, HORN_IDS, type HornId } from '../horn/index.ts';
import { PROFILES, type ItemFault } from '../simulated/index.ts';
import { createStage } from '../testing/performed.ts';
import { analyseTake } from './index.ts';
import type { ToneKind } from './measures.ts';

const RATE = 32000;
const stage = createStage(Number(process.env.SEED ?? 1));

/** What is heard of a tone after a full one of the same note. */
function heard(hornId: HornId, midi: number, mark: string, faults: ItemFault[], seed: number) {
  const built = familyById('fullToSubtone')?.build(hornById(hornId), {
    note: midi,
    to: midi,
    beats: 3,
    tempoBpm: 80,
  });
  if (!built) throw new Error('no family');
  const one = phraseExercise(built, 0);
  const items = one.phrases[0].items.map((item, i) =>
    i === 1 && item.kind === 'note'
      ? { ...item, dynamics: item.dynamics.map((point) => ({ ...point, mark })) }
      : item,
  );
  const exercise = parseExercise({ ...one, phrases: [{ ...one.phrases[0], items }] });
  const request = {
    exercise,
    hornId,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: PROFILES.steady,
    faults,
    sampleRateHz: RATE,
    seed,
    leadSeconds: 0.8,
    tailSeconds: 1,
  };
  // More air than tone: only a listener can say what is heard of it.
  const { track } = stage.perform(
    request,
    faults.some(({ kind }) => kind === 'weak'),
  );
  const analysis = analyseTake(
    track,
    {
      exercise,
      hornId,
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
      beatZeroSeconds: null,
    },
    [],
  );
  const item = analysis?.items[1];
  return item?.kind === 'note' ? (item.measures?.subtone ?? null) : null;
}

const MADE: { made: ToneKind; faults: ItemFault[]; marks: string[] }[] = [
  { made: 'subtone', faults: [], marks: ['pp', 'p', 'mp'] },
  // More air than tone, and merely soft.
  { made: 'weak', faults: [{ item: 1, kind: 'weak' }], marks: ['pp', 'p'] },
  { made: 'weak', faults: [{ item: 1, kind: 'noSubtone' }], marks: ['pp', 'p'] },
  { made: 'full', faults: [{ item: 1, kind: 'noSubtone' }], marks: ['mf', 'f'] },
];

it('tells weak, subtone and full tones apart over levels, notes and horns, and prints the table', () => {
  const table = new Map<string, number>();
  const wrong: string[] = [];
  let seed = 0;
  for (const { made, faults, marks } of MADE)
    for (const mark of marks)
      for (const midi of [58, 62, 65, 69]) {
        const hornId = HORN_IDS[seed++ % HORN_IDS.length];
        const depth = heard(hornId, midi, mark, faults, seed);
        const kind = depth?.kind ?? 'unknown';
        table.set(`${made} > ${kind}`, (table.get(`${made} > ${kind}`) ?? 0) + 1);
        if (kind !== made)
          wrong.push(`${hornId} ${midi} ${mark} ${faults[0]?.kind ?? 'subtone'} ${JSON.stringify(depth)}`);
      }
  console.info(`tones made > heard: ${[...table].map(([name, tones]) => `${name} ${tones}`).join(', ')}`);
  expect(wrong).toEqual([]);
});
