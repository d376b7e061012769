import { fingeringKey, fingeringOf, hornById, writtenMidi } from '@inner-hum/core/horn';
import { familyById, phraseExercise, type Choices, type FamilyId } from '@inner-hum/core/exercise';
import { highHabits, WARM_UP, type ItemFault } from '@inner-hum/core/standin';
import { decideOn, firstMouthpiece, listMouthpieces, nameMouthpiece } from '../../storage/index.ts';
import type { SessionClient } from '../../workers/index.ts';
import { timeOf } from './demoTime.ts';
import { keepDemoTake } from './keepDemoTake.ts';

const PROFILE = { ...WARM_UP, bendCentsPer10Db: -5, tendencyCents: 0 };
const TEMPO = 120;

function phraseOf(id: FamilyId, choices: Choices) {
  const family = familyById(id);
  if (!family) throw new Error(`There is no family ${id}.`);
  return phraseExercise(family.build(hornById('alto'), choices), 0);
}

/** What the invented player tried up there in that week. */
const TRIES: [daysAgo: number, note: number, keys: string, times: number][] = [
  [5, 91, 'oct L1 L3 R1 sideBb', 8],
  [5, 91, 'oct L2', 8],
  [4, 93, 'oct L2 L3', 8],
  [4, 93, 'oct L2 L3 R1 R2 R3', 8],
  [2, 90, 'oct frontF L2 sideBb', 6],
  [2, 92, 'oct', 6],
];

/** The fingering the invented player settled on. */
const SETTLED = { writtenMidi: writtenMidi(91), keys: 'oct L1 L3 R1 sideBb' };

const word = (keys: string) => fingeringKey(fingeringOf(keys.split(' ')));

async function seedTries(client: SessionClient, today: Date): Promise<void> {
  for (const [i, [daysAgo, note, keys, tries]] of TRIES.entries()) {
    const exercise = phraseOf('highTries', { note, keys: word(keys), tries, tempoBpm: TEMPO });
    await keepDemoTake(client, {
      exercise,
      profile: PROFILE,
      faults: highHabits(exercise, 'alto', 440, 900 + i),
      startedAt: timeOf(today, daysAgo, 19.4 + 0.02 * i),
      seed: 900 + i,
    });
  }
  const exercise = phraseOf('voicingDrop', { note: 91, keys: word(SETTLED.keys), bend: 3, tempoBpm: TEMPO });
  await keepDemoTake(client, {
    exercise,
    profile: PROFILE,
    faults: [{ item: 0, kind: 'shallowBend', share: 0.8 }],
    startedAt: timeOf(today, 2, 19.6),
    seed: 950,
  });
}

/** Day by day: what became of a subtone on a note. */
const SUBTONES: [daysAgo: number, note: number, faults: ItemFault[]][] = [
  [5, 65, [{ item: 1, kind: 'weak' }]],
  [4, 62, [{ item: 1, kind: 'noSubtone' }]],
  [3, 65, []],
  [1, 62, [{ item: 1, kind: 'weak' }]],
  [0, 60, []],
  [0, 62, []],
];

async function seedSubtones(client: SessionClient, today: Date): Promise<void> {
  for (const [i, [daysAgo, note, faults]] of SUBTONES.entries())
    await keepDemoTake(client, {
      exercise: phraseOf('fullToSubtone', { note, to: note, tempoBpm: 80, beats: 4 }),
      profile: PROFILE,
      faults,
      startedAt: timeOf(today, daysAgo, 7.2 + 0.02 * i),
      seed: 970 + i,
    });
}

/** High notes and subtones of the invented player, and the mouthpiece they were played on. */
export async function seedHigh(client: SessionClient, today: Date): Promise<void> {
  await seedTries(client, today);
  await seedSubtones(client, today);
  const [first] = await listMouthpieces('alto');
  await nameMouthpiece(first, 'The hard rubber one');
  await decideOn(
    {
      mouthpieceId: firstMouthpiece('alto'),
      writtenMidi: SETTLED.writtenMidi,
      fingering: word(SETTLED.keys),
    },
    { preferred: true },
    today.getTime(),
  );
}
