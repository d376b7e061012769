import type { Choices, DynamicMark } from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import type { FindingKind } from '../judge/index.ts';
import { between, flat, marked, notes, drillOf, FOUR, type VerdictRow } from './verdictTable.ts';

/** Loud and soft marks swapped. */
const MIRROR: Record<DynamicMark, DynamicMark> = {
  ppp: 'fff',
  pp: 'ff',
  p: 'f',
  mp: 'mf',
  mf: 'mp',
  f: 'p',
  ff: 'pp',
  fff: 'ppp',
};

/** How loud: hairpins, their marks, breath and colour at their ends. */
export function swellRows(): VerdictRow[] {
  const swell = (hornId: HornId, choices: Choices = {}) => drillOf('swell', hornId, 0, choices);
  const alternating = (hornId: HornId, phrase = 0) => drillOf('alternatingSwells', hornId, phrase);
  const descent = (hornId: HornId) => drillOf('quietDescent', hornId);
  const LEVEL: FindingKind[] = [
    'hardlyGrew',
    'hardlyFell',
    'beginLevel',
    'peakLevel',
    'endLevel',
    'place',
    'step',
  ];
  const rows: VerdictRow[] = [];
  for (const hornId of FOUR) {
    rows.push(
      {
        ...alternating(hornId),
        played: 'flat mf',
        change: flat('mf'),
        wanted: { 0: ['hardlyGrew'], 2: ['hardlyFell'], 4: ['hardlyGrew'], 6: ['hardlyFell'] },
      },
      {
        ...alternating(hornId),
        played: 'the last note begun p where f is written',
        change: marked(6, 'p', 'p'),
        wanted: { 6: ['beginLevel', 'hardlyFell'] },
      },
      {
        ...descent(hornId),
        played: 'f all through',
        change: flat('f'),
        wanted: { 3: ['place', 'step', 'hardlyFell'] },
      },
      {
        ...descent(hornId),
        played: 'reversed: from pp to f',
        change: notes((note) => between(note, MIRROR[note.dynamics[0].mark], MIRROR[note.dynamics[1].mark])),
        wanted: { 0: ['place', 'wrongWay'], 3: ['place', 'step'] },
      },
      {
        ...descent(hornId),
        played: 'ff at the bottom',
        change: marked(3, 'ff', 'ff'),
        wanted: { 3: ['place', 'step', 'endLevel'] },
      },
      {
        ...swell(hornId),
        played: 'mp to mf in place of pp to ff',
        change: notes((note) => ({
          ...note,
          dynamics: note.dynamics.map((point) => ({ ...point, mark: point.mark === 'ff' ? 'mf' : 'mp' })),
        })),
        wanted: { 0: ['hardlyGrew'] },
      },
    );
  }
  const widening = (hornId: HornId, phrase: number) => drillOf('wideningUp', hornId, phrase);
  for (const [i, [soft, loud]] of (
    [
      ['p', 'f'],
      ['pp', 'mf'],
      ['mp', 'ff'],
    ] as const
  ).entries())
    rows.push({
      ...widening(FOUR[i], 3 + i),
      played: `${soft} to ${loud} in place of pp to ff`,
      change: notes((note, index) => (index === 0 ? between(note, soft, loud) : between(note, loud, soft))),
      wanted: { 0: LEVEL },
    });
  rows.push(
    {
      ...swell('alto', { shape: 'fade' }),
      played: 'a fade that stays',
      change: flat('f'),
      wanted: { 0: ['hardlyFell'] },
    },
    {
      ...swell('tenor', { shape: 'grow' }),
      played: 'fades where it should grow',
      change: notes((note) => between(note, 'ff', 'pp')),
      wanted: { 0: ['hardlyGrew'] },
    },
    {
      ...swell('soprano'),
      played: 'grows and does not come back',
      change: notes((note) => between(note, 'pp', 'ff')),
      wanted: { 0: ['hardlyFell', 'endLevel'] },
    },
    {
      ...swell('baritone'),
      played: 'begins at mf',
      change: notes((note) => ({
        ...note,
        dynamics: note.dynamics.map((point, i) => (i === 0 ? { ...point, mark: 'mf' as const } : point)),
      })),
      wanted: { 0: ['beginLevel', 'hardlyGrew'] },
    },
    {
      ...swell('alto'),
      played: 'the loudest moment a beat late',
      faults: [{ item: 0, kind: 'latePeak', beats: 1 }],
      wanted: { 0: ['peak'] },
    },
    {
      ...drillOf('pairedSwells', 'alto', 2),
      played: '8 dB down at the change',
      faults: [{ item: 1, kind: 'off', cents: 0, levelDb: -8 }],
      wanted: { 1: ['step', 'place', 'beginLevel'] },
    },
    {
      ...drillOf('pairedSwells', 'tenor', 4),
      played: 'no growth, no fade: mf',
      change: flat('mf'),
      wanted: { 0: ['hardlyGrew'], 1: ['hardlyFell'] },
    },
    {
      ...alternating('alto', 1),
      played: 'grown and faded the other way round',
      change: notes((note) => between(note, note.dynamics[1].mark, note.dynamics[0].mark)),
      wanted: { 0: ['hardlyFell'], 2: ['hardlyGrew'], 4: ['hardlyFell'], 6: ['hardlyGrew'] },
    },
    {
      ...swell('alto'),
      played: 'more breath than tone at the soft end',
      profile: { breathDbSoft: 4, breathDbLoud: -34 },
      wanted: { 0: ['airySoftEnd'] },
    },
    {
      ...swell('tenor', { shape: 'fade' }),
      played: 'the soft end more breath than tone',
      profile: { breathDbSoft: 4, breathDbLoud: -34 },
      wanted: { 0: ['airySoftEnd'] },
    },
    {
      ...swell('tenor'),
      played: 'a little air at pp',
      profile: { breathDbSoft: -16, breathDbLoud: -34 },
      wanted: 'passes',
    },
    {
      ...swell('baritone', { shape: 'fade' }),
      played: 'a little air at pp',
      profile: { breathDbSoft: -14, breathDbLoud: -34 },
      wanted: 'passes',
    },
    {
      ...swell('alto'),
      played: '20 cents flat when loud',
      profile: { bendCentsPer10Db: -14 },
      wanted: { 0: ['loudEnd', 'softEnd'] },
    },
    {
      ...swell('soprano'),
      played: '25 cents sharp throughout',
      profile: { tendencyCents: 25 },
      wanted: { 0: ['pitch', 'softEnd', 'loudEnd'] },
    },
    {
      ...swell('alto'),
      played: '5 cents lower when loud',
      profile: { bendCentsPer10Db: -3 },
      wanted: 'passes',
    },
    {
      ...swell('alto'),
      played: 'a dip inside the growing',
      change: notes((note) => ({
        ...note,
        dynamics: (['pp', 'mf', 'p', 'ff', 'pp'] as const).map((mark, i) => ({
          beat: [0, 1.8, 3, 4, 8][i],
          mark,
        })),
      })),
      wanted: { 0: ['wrongWay', 'stair', 'swellError'] },
    },
    {
      ...drillOf('highSwell', 'alto'),
      played: 'no swell: mf',
      change: flat('mf'),
      wanted: { 0: ['hardlyGrew'] },
    },
  );
  return rows;
}
