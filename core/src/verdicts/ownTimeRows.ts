import {
  exerciseAsPlayed,
  exerciseUpTo,
  scoreOf,
  type Exercise,
  type FamilyId,
  withLength,
} from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import type { ItemFault } from '../simulated/index.ts';
import { drillOf, FOUR, items, noteItems, notes, type VerdictRow } from './verdictTable.ts';

/** Notes held so many beats each, the rests between them too; lengths in turn. */
const held =
  (...beats: number[]) =>
  (written: Exercise) =>
    exerciseAsPlayed(
      written,
      scoreOf(written).map((_, index) => beats[index % beats.length]),
    );

/** In the player's own time: whatever it took is right; what broke is told of its note. */
export function ownTimeRows(): VerdictRow[] {
  const rows: VerdictRow[] = [];
  const free: [family: FamilyId, phrase: number, beats: number[], played: string][] = [
    ['overtoneCascade', 2, [5, 4], 'held 5 beats, then 4'],
    ['overtoneClimb', 0, [4], 'every partial twice as long'],
    ['overtoneClimb', 0, [1.2, 6, 2, 3, 5], 'partials of any length'],
    ['overtoneSwitch', 0, [5, 3, 4], 'switched late'],
    ['overtoneHits', 0, [3, 5, 1.5, 2], 'hits of any length'],
    ['returnToBottom', 6, [7, 3, 5], 'bottom held for long'],
    ['dropToBottom', 2, [3, 8], 'dropped when ready'],
    ['breakDrill', 0, [6, 9], 'E for 6, D for 9'],
    ['breakDrill', 2, [3, 5, 8], 'a gap as long as one likes'],
    ['overtoneMatch', 0, [6, 4, 3], 'matched slowly'],
    ['openedTone', 0, [3, 5, 6], 'opened slowly'],
    ['intervalTones', 4, [6, 2, 5, 3], 'imagined for as long as it took'],
    ['fifths', 3, [3, 5, 4], 'fifths held as long as one likes'],
    ['tubeLoop', 0, [3, 4, 2, 5, 3], 'round a tube without a beat'],
    ['voicedNote', 0, [5, 3, 4, 6], 'voiced when it came'],
    ['ownFirst', 0, [5, 6, 4], 'sung for as long as it took'],
    ['vowelSweep', 0, [16], 'vowels slowly'],
    ['mouthpieceAlone', 1, [13], 'bent slowly'],
  ];
  free.forEach(([family, phrase, beats, played], i) => {
    for (const hornId of [FOUR[i % 4], FOUR[(i + 1) % 4]])
      rows.push({ ...drillOf(family, hornId, phrase), played, change: held(...beats), wanted: 'passes' });
  });
  for (const hornId of ['alto', 'tenor'] as const) {
    const loop = drillOf('overtoneCascade', hornId, 2, { partial: 3, rounds: 'untilStop' });
    const two = drillOf('overtoneClimb', hornId, 0, { partial: 3, rounds: 'two' });
    rows.push(
      {
        ...loop,
        played: 'round and round, stopped in the third',
        change: (written) => exerciseUpTo(held(3, 4, 2)(written), 8),
        wanted: 'passes',
      },
      {
        ...loop,
        played: 'a hole in the second round, stopped after it',
        change: (written) => exerciseUpTo(held(3, 4, 2)(written), 6),
        faults: [{ item: 4, kind: 'parted', gapMs: 140 }],
        wanted: { 4: ['slurGap', 'gap'] },
        only: [4],
      },
      { ...two, played: 'two rounds in one breath', change: held(2, 3, 4, 2, 3), wanted: 'passes' },
    );
  }
  for (const hornId of FOUR) {
    const own = (family: FamilyId, phrase: number) => drillOf(family, hornId, phrase, { start: 'ownTime' });
    rows.push(
      {
        ...own('wideningUp', 4),
        played: 'moved when arrived: 9 beats, then 5',
        change: held(9, 5),
        wanted: 'passes',
      },
      {
        ...own('octaveRestart', 0),
        played: 'restarted when ready',
        change: held(5, 6, 3, 3, 1.5, 2.5, 4, 3),
        wanted: 'passes',
      },
    );
  }
  rows.push(...brokenRows('alto'), ...brokenRows('tenor'));
  return rows;
}

/** Two items change places. */
const swapped = (a: number, b: number) =>
  items((item, i, all) => (i === a ? all[b] : i === b ? all[a] : item));

/** What breaks in one's own time, on the note where it broke. */
function brokenRows(hornId: HornId): VerdictRow[] {
  const cascade = drillOf('overtoneCascade', hornId, 2, { partial: 3 });
  const climb = drillOf('overtoneClimb', hornId);
  const over = drillOf('breakDrill', hornId);
  const [, second] = noteItems(cascade);
  const one = (fault: ItemFault) => ({ faults: [fault], change: held(4, 5, 3) });
  return [
    {
      ...cascade,
      played: 'a hole before the fall',
      ...one({ item: second, kind: 'parted', gapMs: 140 }),
      wanted: { [second]: ['slurGap', 'gap'] },
      never: ['short', 'beat'],
    },
    {
      ...over,
      played: 'slid over the break',
      ...one({ item: 1, kind: 'slowSlur', glideMs: 260, overshootCents: 0 }),
      wanted: { 1: ['slowSlur'] },
      never: ['beat'],
    },
    {
      ...climb,
      played: 'slipped a partial up for a moment',
      ...one({ item: 2, kind: 'slip', atSeconds: 1.2, lengthSeconds: 0.5, toPartial: 4 }),
      wanted: { 2: ['jump'] },
      never: ['beat', 'short'],
    },
    {
      ...climb,
      // A partial that is held for long, then the one after the next: which of them was left out is heard, not why.
      played: 'went past a partial',
      ...one({ item: 2, kind: 'wrongPartial', partial: 2 }),
      wanted: { 2: ['lowPartial', 'highPartial', 'missed'] },
      never: ['beat'],
    },
    {
      ...climb,
      played: 'one partial left out',
      ...one({ item: 3, kind: 'missed' }),
      wanted: { 3: ['missed', 'lowPartial', 'highPartial'] },
      never: ['beat', 'short'],
    },
    {
      ...climb,
      played: 'two partials in the other order',
      change: (written) => swapped(1, 2)(held(4, 5, 3)(written)),
      wanted: { 1: ['missed', 'highPartial', 'lowPartial', 'wrongNote'] },
      only: [1, 2],
      never: ['beat', 'short'],
    },
    {
      ...climb,
      played: 'one partial begun twice',
      ...one({ item: 2, kind: 'repeated' }),
      wanted: { 2: ['restart', 'gap', 'breath'] },
      only: [2],
      never: ['beat', 'short'],
    },
    {
      ...climb,
      played: 'given up after three notes',
      change: (written) => exerciseUpTo(held(4, 5, 3)(written), 3),
      wanted: { 3: ['missed'], 4: ['missed'], 6: ['missed'] },
      only: [3, 4, 5, 6],
      never: ['beat', 'short'],
    },
    {
      ...over,
      played: 'D touched and let go',
      change: notes((note, index) => withLength(note, index === 1 ? 0.3 : 5)),
      wanted: { 1: ['short'] },
      never: ['beat'],
    },
  ];
}
