import { phraseExercise } from '@inner-hum/core/exercise';
import type { DemoAim, DemoTrial } from '@inner-hum/core/formats';
import { writtenMidi } from '@inner-hum/core/horn';
import { createRandom } from '@inner-hum/core/signal';
import { trialExercise, trialOrder, usualAttacks, type Side } from '@inner-hum/core/trial';
import { profileOf } from './horns.ts';
import { phraseOf } from './phraseOf.ts';
import type { Scene, SceneTake } from './scene.ts';

/** Two questions of the player's: with one the way of thinking matters, with the other it does not. */
export const TRIALS: (DemoTrial & { answersMs: Record<Side, number>; spreadCents: Record<Side, number> })[] =
  [
    {
      id: 'demo-trial-start',
      hornId: 'alto',
      daysAgo: 15,
      question: 'air',
      measure: 'responseMs',
      tone: 'softStart',
      writtenMidi: writtenMidi(59),
      cues: { a: 'warm air', b: 'cold air' },
      pairs: 8,
      answersMs: { a: 130, b: 205 },
      spreadCents: { a: 1.5, b: 1.5 },
    },
    {
      id: 'demo-trial-lip',
      hornId: 'alto',
      daysAgo: 8,
      question: 'lip',
      measure: 'centsSpread',
      tone: 'longTone',
      writtenMidi: writtenMidi(67),
      cues: { a: 'lip over teeth', b: 'lip out' },
      pairs: 6,
      answersMs: { a: 110, b: 110 },
      spreadCents: { a: 2, b: 2 },
    },
  ];

/** What the player wants to reach. */
export const AIMS: DemoAim[] = [
  {
    id: 'demo-aim-low',
    hornId: 'alto',
    daysAgo: 40,
    text: 'A soft low B for the slow movement',
    goal: {
      measure: 'responseMs',
      scope: { midi: writtenMidi(59), zone: null, family: null },
      target: 150,
      wants: 'less',
    },
    byInDays: 30,
    doneDaysAgo: null,
  },
  {
    id: 'demo-aim-hold',
    hornId: 'alto',
    daysAgo: 70,
    text: 'Sixteen beats on low notes',
    goal: {
      measure: 'holdSeconds',
      scope: { midi: null, zone: 'low', family: null },
      target: 15,
      wants: 'more',
    },
    byInDays: null,
    // Three holds of the fifth day were longer.
    doneDaysAgo: 4,
  },
];

/** The sittings of the trials, and hums before notes, week by week. */
export function trialScenes(): Scene {
  const random = createRandom(77);
  const rounds: Scene['rounds'] = [];
  const sittings = TRIALS.flatMap((trial, t): SceneTake[] => {
    const { id, daysAgo, hornId, writtenMidi: midi, answersMs, spreadCents, cues, pairs } = trial;
    const order = trialOrder(pairs, 40 + t);
    const exercise = trialExercise(
      { ...trial, attacks: usualAttacks(trial.tone) },
      order,
      `${cues.a} or ${cues.b}`,
    );
    const roundId = `${id}-sitting`;
    const hour = 17.5;
    rounds.push({ id: roundId, daysAgo, second: 3600 * hour, hornId, of: { trialId: id, exercise } });
    return order.map((side, phrase) => ({
      daysAgo,
      hour: hour + (14 * phrase) / 3600,
      exercise: phraseExercise(exercise, phrase),
      profile: {
        ...profileOf('alto', midi, daysAgo, 0.7),
        responseMs: Math.max(40, answersMs[side] + 40 * random.normal()),
        jitterCents: Math.max(0.5, spreadCents[side] + 0.6 * random.normal()),
      },
      roundId,
      phrase,
    }));
  });
  const hums = [60, 45, 31, 18, 6].map((daysAgo, i): SceneTake => ({
    daysAgo,
    hour: 18.1,
    exercise: phraseOf('hearHumPlay', {}, 'alto', i),
    profile: profileOf('alto', 67, daysAgo, 0.7),
  }));
  return { takes: [...sittings, ...hums], rounds };
}
