import type { DemoPack } from '@inner-hum/core/formats';
import { fingeringKey, fingeringOf, writtenMidi } from '@inner-hum/core/horn';
import { highHabits, WARM_UP, type ItemFault } from '@inner-hum/core/simulated';
import { phraseOf } from './phraseOf.ts';
import type { Scene, SceneTake } from './scene.ts';

const PROFILE = { ...WARM_UP, bendCentsPer10Db: -5, tendencyCents: 0 };
const TEMPO = 120;
const FLAT_CENTS = -24;

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

/** How near F5 as itself and from low B flat came, day by day: colour from dark to bright, and cents. */
const MATCHES: [daysAgo: number, colour: number, cents: number][] = [
  [26, 0, -19],
  [19, 0.05, -16],
  [12, 0.1, -15],
  [6, 0.1, -14],
  [4, 0.15, -11],
  [3, 0.3, -6],
  [1, 0.45, -4],
];

function overtones(): SceneTake[] {
  const hits = HITS.map(([note, partial, tries], i): SceneTake => ({
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
    daysAgo: 5 - Math.floor(i / 4),
    hour: 19 + (i % 4) * 0.02,
  }));
  const matches = MATCHES.map(([daysAgo, at, cents]): SceneTake => ({
    exercise: phraseOf('overtoneMatch', { note: 58, partial: 3, tempoBpm: 80 }),
    profile: PROFILE,
    faults: [
      { item: 2, kind: 'colour', at },
      { item: 2, kind: 'off', cents, levelDb: -1 },
    ],
    daysAgo,
    hour: 19.2,
  }));
  return [...hits, ...matches];
}

/** What was tried over F6. */
const TRIES: [daysAgo: number, note: number, keys: string, times: number][] = [
  [23, 91, 'oct L1 L3 R1 sideBb', 6],
  [16, 91, 'oct L2', 6],
  [5, 91, 'oct L1 L3 R1 sideBb', 8],
  [5, 91, 'oct L2', 8],
  [4, 93, 'oct L2 L3', 8],
  [4, 93, 'oct L2 L3 R1 R2 R3', 8],
  [2, 90, 'oct frontF L2 sideBb', 6],
  [2, 92, 'oct', 6],
];

const word = (keys: string) => fingeringKey(fingeringOf(keys.split(' ')));

/** The fingering that was settled on. */
export const SETTLED: DemoPack['settled'] = [
  { mouthpieceId: 'alto.first', writtenMidi: writtenMidi(91), fingering: word('oct L1 L3 R1 sideBb') },
];

function highNotes(): SceneTake[] {
  const tries = TRIES.map(([daysAgo, note, keys, times], i): SceneTake => {
    const exercise = phraseOf('highTries', { note, keys: word(keys), tries: times, tempoBpm: TEMPO });
    return {
      exercise,
      profile: PROFILE,
      faults: highHabits(exercise, 'alto', 440, 900 + i),
      daysAgo,
      hour: 19.4 + 0.02 * i,
    };
  });
  const [{ writtenMidi: note, fingering }] = SETTLED;
  const drop: SceneTake = {
    exercise: phraseOf('voicingDrop', { note, keys: fingering, bend: 3, tempoBpm: TEMPO }),
    profile: PROFILE,
    faults: [{ item: 0, kind: 'shallowBend', share: 0.8 }],
    daysAgo: 2,
    hour: 19.6,
  };
  return [...tries, drop];
}

/** Day by day: what became of a subtone on a note. */
const SUBTONES: [daysAgo: number, note: number, faults: ItemFault[]][] = [
  [33, 62, [{ item: 1, kind: 'noSubtone' }]],
  [27, 65, [{ item: 1, kind: 'noSubtone' }]],
  [13, 60, [{ item: 1, kind: 'weak' }]],
  [5, 65, [{ item: 1, kind: 'weak' }]],
  [4, 62, [{ item: 1, kind: 'noSubtone' }]],
  [3, 65, []],
  [1, 62, [{ item: 1, kind: 'weak' }]],
  [0, 60, []],
  [0, 62, []],
];

const subtones = (): SceneTake[] =>
  SUBTONES.map(([daysAgo, note, faults], i) => ({
    exercise: phraseOf('fullToSubtone', { note, to: note, tempoBpm: 80, beats: 4 }),
    profile: PROFILE,
    faults,
    daysAgo,
    hour: 7.2 + 0.02 * i,
  }));

/** Overtones, high notes and subtones. */
export const voicingScenes = (): Scene => ({
  takes: [...overtones(), ...highNotes(), ...subtones()],
  rounds: [],
});
