import { expect, it } from 'vitest';
import {
  DEFAULT_SCALE,
  exerciseAsPlayed,
  FAMILIES,
  phraseExercise,
  playedPhrases,
  scoreOf,
  type Exercise,
  type ExerciseItem,
} from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { hornById, type HornId } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import { playExercise, PROFILES } from '../simulated/index.ts';
import { truthTrack } from '../testing/truthTrack.ts';
import { analyseTake, isNeutral } from './index.ts';

// In one's own time whatever it took is right: all families that offer it, on four horns, each note as long as chance has it.

const SEED = Number(process.env.SEED ?? 1);
const HORNS = ['soprano', 'alto', 'tenor', 'baritone'] as const satisfies readonly HornId[];
const RATE = 24000;
/** One performance of so many is asked of the sound itself. */
const HEARD_OF = 5;
const own = FAMILIES.filter(({ options }) => {
  const start = options(hornById('alto'))?.start;
  return start?.kind === 'choice' && start.values.includes('ownTime');
});

function judged(written: Exercise, beats: readonly number[], hornId: HornId, seed: number, isHeard: boolean) {
  const context = { hornId, a4Hz: 440, scale: DEFAULT_SCALE };
  const request = {
    exercise: exerciseAsPlayed(written, beats),
    ...context,
    profile: { ...PROFILES.steady, responseMs: 100 },
    faults: [],
    sampleRateHz: RATE,
    seed,
    leadSeconds: 0.8,
    tailSeconds: 1,
  };
  const track = isHeard ? listenTo(playExercise(request).samples, RATE) : truthTrack(request).track;
  return analyseTake(
    track,
    { exercise: written, ...context, toleranceId: 'usual', roomFloorDb: null, beatZeroSeconds: null },
    [],
  );
}

it('is offered where most play without a click', () => {
  expect(own.map(({ id }) => id)).toEqual(
    expect.arrayContaining([
      ...[
        'overtoneCascade',
        'overtoneClimb',
        'overtoneSwitch',
        'overtoneHits',
        'overtoneMatch',
        'openedTone',
      ],
      ...['returnToBottom', 'dropToBottom', 'breakDrill', 'intervalTones', 'vowelSweep', 'voicingDrop'],
      ...['octaveRestart', 'pairedSwells', 'wideningUp', 'fullScales', 'overtoneScale'],
    ]),
  );
});

it.each(own.map((family, i) => [family.id, family, i] as const))(
  'finds every note of %s, however long it is held, and condemns none',
  (id, family, place) => {
    for (const [h, hornId] of HORNS.entries()) {
      const horn = hornById(hornId);
      if (!family.options(horn)) continue;
      const random = createRandom(1000 * SEED + 10 * place + h).uniform;
      const whole = family.build(horn, { start: 'ownTime' });
      const written = phraseExercise(whole, Math.floor(random() * playedPhrases(whole).length));
      // Of several vowels on one note each is held so long.
      const wordsOf = (item: ExerciseItem) => ('words' in item && item.words?.length) || 1;
      const beats = scoreOf(written).map(
        ({ item }) => (wordsOf(item) * (0.8 + 5.2 * random()) * written.tempoBpm) / 60,
      );
      const score = scoreOf(written);
      /** Whether an item is slurred to from the same pitch by other fingers. */
      const samePitch = (index: number) => {
        const [before, here] = [score.at(index - 1)?.item, score.at(index)?.item];
        return (
          index > 0 &&
          before?.kind === 'note' &&
          here?.kind === 'note' &&
          here.attack === 'slurred' &&
          before.writtenMidi === here.writtenMidi
        );
      };
      const why = `${id} on the ${hornId}, SEED=${SEED}, ${beats.map((each) => each.toFixed(2)).join(' ')} beats`;
      const take = judged(written, beats, hornId, place + h, (place + h + SEED) % HEARD_OF === 0);
      expect(take, why).not.toBeNull();
      for (const { kind, item, verdict } of take?.items ?? []) {
        if (kind !== 'note') continue;
        const blamed = verdict?.findings.filter((finding) => !isNeutral(finding)) ?? [];
        expect(blamed, `${why}: item ${item}`).toEqual([]);
        // How long it was held is known to the length of a slur; where only the fingers change it is guessed.
        if (samePitch(item) || samePitch(item + 1)) continue;
        const off = (take?.playedBeats?.[item] ?? 0) - beats[item];
        expect(Math.abs(off) * (60 / written.tempoBpm), `${why}: item ${item}`).toBeLessThan(0.25);
      }
    }
  },
);
