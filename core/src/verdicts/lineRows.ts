import { scoreOf, type Exercise } from '../exercise/index.ts';
import type { FindingKind } from '../judge/index.ts';
import type { ItemFault } from '../simulated/index.ts';
import { FOUR, notes, writtenOf, drillOf, type VerdictRow, type Drill } from './verdictTable.ts';

/** What joins notes, and all that is neither loudness, time nor pitch. */
export function lineRows(): VerdictRow[] {
  const rows: VerdictRow[] = [];
  const slurred = (drill: Drill, item: number) => ({
    hole: {
      ...drill,
      played: 'a hole at the slur',
      faults: [{ item, kind: 'parted', gapMs: 120 }],
      wanted: { [item]: ['slurGap'] },
    } as VerdictRow,
    slide: {
      ...drill,
      played: 'slides in over 260 ms',
      faults: [{ item, kind: 'slowSlur', glideMs: 260, overshootCents: 0 }],
      wanted: { [item]: ['slowSlur'] },
    } as VerdictRow,
  });
  const drills: Drill[] = [
    drillOf('returnToBottom', 'alto', 7),
    drillOf('breakDrill', 'tenor', 0),
    drillOf('overtoneCascade', 'baritone', 3),
    drillOf('wideningDown', 'alto', 5),
    drillOf('quietDescent', 'soprano'),
  ];
  for (const drill of drills) {
    const { hole, slide } = slurred(drill, 1);
    rows.push(hole, slide);
  }
  for (const hornId of FOUR)
    rows.push(
      {
        ...drillOf('fullScales', hornId, 3),
        played: 'one note 8 dB softer: the one after it is where it belongs',
        faults: [{ item: 6, kind: 'off', cents: 0, levelDb: -8 }],
        wanted: { 6: ['place', 'step'] },
        only: [6],
      },
      {
        ...drillOf('fullScales', hornId, 3),
        played: 'every second of six notes 8 dB softer',
        faults: [4, 6, 8].map((item) => ({ item, kind: 'off', cents: 0, levelDb: -8 })),
        wanted: { 4: ['place', 'step'], 6: ['place', 'step'], 8: ['place', 'step'] },
        only: [4, 6, 8],
      },
      {
        ...drillOf('fullScales', hornId, 3),
        played: 'a note slid into over 200 ms is a slide, and not late',
        faults: [{ item: 9, kind: 'slowSlur', glideMs: 200, overshootCents: 0 }],
        wanted: { 9: ['slowSlur'] },
        only: [9],
        never: ['beat'],
      },
    );
  rows.push(
    {
      ...drillOf('quietDescent', 'alto'),
      played: 'a breath in the second note',
      faults: [{ item: 1, kind: 'earlyBreath', atSeconds: 2.4 }],
      wanted: { 1: ['breath', 'restart'] },
    },
    {
      ...drillOf('quietDescent', 'tenor'),
      played: 'the bottom note slips to its octave',
      faults: [{ item: 3, kind: 'slip', atSeconds: 0.8, lengthSeconds: 0.6, toPartial: 2 }],
      wanted: { 3: ['jump'] },
    },
    {
      ...drillOf('quietDescent', 'baritone'),
      played: 'the bottom note does not come',
      faults: [{ item: 3, kind: 'missed' }],
      wanted: { 3: ['missed', 'wrongNote'] },
    },
    {
      ...drillOf('breakDrill', 'alto', 2),
      played: 'a breath in the silent gap',
      faults: [{ item: 1, kind: 'breathInGap' }],
      wanted: { 1: ['gapBreath'] },
    },
    {
      ...drillOf('overtoneCascade', 'alto', 0),
      played: 'stays on the upper partial',
      faults: [{ item: 1, kind: 'wrongPartial', partial: 2 }],
      wanted: { 1: ['highPartial', 'missed'] },
    },
    {
      ...drillOf('overtoneMatch', 'alto'),
      played: 'the other fingering 20 cents sharper',
      faults: [{ item: 2, kind: 'off', cents: 22, levelDb: 0 }],
      wanted: { 2: ['pitchApart', 'pitch'] },
    },
    {
      ...drillOf('highTries', 'alto'),
      played: 'the second try a squawk',
      faults: [{ item: 2, kind: 'squawk', seconds: 3 }],
      onlySimulated: true,
      wanted: { 2: ['onlySquawk'] },
    },
    {
      ...drillOf('lipPositions', 'alto'),
      played: 'B lets 5 dB more through',
      faults: [{ item: 2, kind: 'air', db: 5 }],
      wanted: { 2: ['airAgainst'] },
    },
    {
      ...drillOf('hearHumPlay', 'tenor'),
      played: 'hummed 70 cents flat',
      faults: scoreOf(writtenOf(drillOf('hearHumPlay', 'tenor'))).flatMap(({ item }, index): ItemFault[] =>
        item.kind === 'hum' ? [{ item: index, kind: 'off', cents: -70, levelDb: 0 }] : [],
      ),
      wanted: Object.fromEntries(
        scoreOf(writtenOf(drillOf('hearHumPlay', 'tenor'))).flatMap(
          ({ item }, index): [number, FindingKind[]][] => (item.kind === 'hum' ? [[index, ['hum']]] : []),
        ),
      ),
    },
    {
      ...drillOf('longHold', 'alto', 0, { beats: 8 }),
      played: 'slips to the octave for the second half: another note was not played',
      faults: [{ item: 0, kind: 'slip', atSeconds: 4, lengthSeconds: 9, toPartial: 2 }],
      wanted: { 0: ['jump'] },
      never: ['wrongNote'],
    },
    {
      ...drillOf('longHold', 'alto', 0, { beats: 16 }),
      played: 'goes flat after eight seconds',
      profile: { swerve: { atSeconds: 8, overSeconds: 0.6, cents: -26, levelDb: 0, breathDb: 0 } },
      wanted: { 0: ['held'] },
    },
    {
      ...drillOf('longHold', 'tenor', 0, { beats: 16 }),
      played: 'stopped by choice after ten beats',
      change: (written: Exercise) =>
        notes((note) => ({
          ...note,
          lengthBeats: 10,
          dynamics: [
            { beat: 0, mark: 'mf' },
            { beat: 10, mark: 'mf' },
          ],
        }))(written),
      wanted: 'passes',
    },
  );
  return rows;
}
