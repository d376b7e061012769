import {
  familyById,
  phraseExercise,
  type Choices,
  type Exercise,
  type FamilyId,
} from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { WARM_UP, type ItemFault } from '@inner-hum/core/standin';
import type { SessionClient } from '../../workers/index.ts';
import { timeOf } from './demoTime.ts';
import { keepDemoTake } from './keepDemoTake.ts';

const PROFILE = { ...WARM_UP, bendCentsPer10Db: -5, tendencyCents: 0 };

function phraseOf(id: FamilyId, choices: Choices): Exercise {
  const family = familyById(id);
  if (!family) throw new Error(`There is no family ${id}.`);
  return phraseExercise(family.build(hornById('alto'), choices), 0);
}

/** What became of six straight-up tries at a rung: `.` spoke, a figure is the partial that sounded, `f` spoke flat. */
const HITS: [fingered: number, partial: number, tries: string][] = [
  [58, 2, '......'],
  [58, 3, '.1..2.'],
  [58, 4, '...3..'],
  [59, 2, '......'],
  [59, 3, '2.2..2'],
  [60, 2, '...1..'],
  [60, 3, '2.2.12'],
  [60, 4, '.3..3.'],
  [61, 2, '......'],
  [61, 3, 'f.f.2f'],
  [62, 2, '......'],
  [62, 3, '1.1211'],
  [63, 2, '.....1'],
  [64, 2, '.1....'],
  [65, 2, '......'],
  [65, 3, '212112'],
];

const TEMPO = 120;
const FLAT_CENTS = -24;

/** In the score every second item is a rest. */
function faultsOf(tries: string): ItemFault[] {
  return [...tries].flatMap((told, i): ItemFault[] => {
    const item = 2 * i;
    if (told === '.') return [];
    return told === 'f'
      ? [{ item, kind: 'off', cents: FLAT_CENTS, levelDb: 0 }]
      : [{ item, kind: 'wrongPartial', partial: Number(told) }];
  });
}

/** How near the invented player came with F5 as itself and from low B flat, day by day: colour from dark to bright, and cents. */
const MATCHES: [daysAgo: number, colour: number, cents: number][] = [
  [6, 0, -14],
  [4, 0.15, -11],
  [3, 0.3, -6],
  [1, 0.45, -4],
];

/** The invented player's overtones in that week. */
export async function seedLadder(client: SessionClient, today: Date): Promise<void> {
  for (const [i, [note, partial, tries]] of HITS.entries())
    await keepDemoTake(client, {
      exercise: phraseOf('overtoneHits', {
        note,
        partial,
        tries: tries.length,
        attack: 'tongued',
        tempoBpm: TEMPO,
        beats: 2,
        restBeats: 1,
      }),
      profile: PROFILE,
      faults: faultsOf(tries),
      startedAt: timeOf(today, 5 - Math.floor(i / 4), 19 + (i % 4) * 0.02),
      seed: 700 + i,
    });
  for (const [i, [daysAgo, at, cents]] of MATCHES.entries())
    await keepDemoTake(client, {
      exercise: phraseOf('overtoneMatch', { note: 58, partial: 3, tempoBpm: 80 }),
      profile: PROFILE,
      faults: [
        { item: 2, kind: 'colour', at },
        { item: 2, kind: 'off', cents, levelDb: -1 },
      ],
      startedAt: timeOf(today, daysAgo, 19.2),
      seed: 800 + i,
    });
}
