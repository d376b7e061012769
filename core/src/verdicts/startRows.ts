import type { FindingKind } from '../judge/index.ts';
import type { ItemFault } from '../simulated/index.ts';
import { flat, noteItems, notes, drillOf, FOUR, type VerdictRow, type Wanted } from './verdictTable.ts';

/** How notes are begun: restarts, subtones, air, partials. */
export function startRows(): VerdictRow[] {
  const rows: VerdictRow[] = [];
  for (const hornId of FOUR) {
    const octave = drillOf('octaveRestart', hornId);
    const restarts = noteItems(octave).slice(2);
    const each = (fault: (item: number) => ItemFault): ItemFault[] => restarts.map(fault);
    const told = (kinds: readonly FindingKind[]): Wanted =>
      Object.fromEntries(restarts.map((item) => [item, kinds]));
    rows.push(
      {
        ...octave,
        played: 'restarts 10 dB softer',
        faults: each((item) => ({ item, kind: 'off', cents: 0, levelDb: -10 })),
        wanted: told(['startLevel', 'place']),
      },
      {
        ...octave,
        played: 'restarts 22 cents flat',
        faults: each((item) => ({ item, kind: 'off', cents: -22, levelDb: 0 })),
        wanted: told(['startPitch', 'pitch']),
      },
      {
        ...octave,
        played: 'restarts darker',
        faults: each((item) => ({ item, kind: 'colour', at: 0 })),
        wanted: told(['startColour']),
      },
      {
        ...octave,
        played: 'restarts that answer after 400 ms',
        faults: each((item) => ({ item, kind: 'slowAnswer', responseMs: 400 })),
        wanted: told(['response', 'beat']),
      },
      {
        ...octave,
        played: 'the upper partial speaks first',
        faults: each((item) => ({ item, kind: 'slip', atSeconds: 0, lengthSeconds: 0.14, toPartial: 3 })),
        wanted: told(['firstPartial']),
      },
      {
        ...octave,
        played: 'restarts 2 dB softer',
        faults: each((item) => ({ item, kind: 'off', cents: 0, levelDb: -2 })),
        wanted: 'passes',
      },
    );
  }
  for (const responseMs of [350, 600])
    for (const hornId of ['alto', 'tenor', 'baritone'] as const)
      rows.push({
        ...drillOf('subtoneStarts', hornId),
        played: `air of ${responseMs} ms before each`,
        faults: [2, 4, 6, 8].map((item) => ({ item, kind: 'slowAnswer', responseMs })),
        wanted: 'passes',
      });
  for (const hornId of FOUR.slice(1))
    rows.push(
      {
        ...drillOf('subtoneStarts', hornId),
        played: 'all of it full tones',
        faults: [2, 4, 6, 8].map((item) => ({ item, kind: 'noSubtone' })),
        change: flat('mf'),
        wanted: { 2: ['stillFull'], 4: ['stillFull'], 6: ['stillFull'], 8: ['stillFull'] },
      },
      {
        ...drillOf('subtoneStarts', hornId),
        played: 'subtones begun by the tongue',
        change: notes((note, index) => (index > 0 ? { ...note, attack: 'tongued' } : note)),
        wanted: { 2: ['byTongue'], 4: ['byTongue'], 6: ['byTongue'], 8: ['byTongue'] },
      },
    );
  for (const hornId of FOUR)
    for (const tempoBpm of [40, 60, 120])
      rows.push({
        ...drillOf('airThenNote', hornId, 0, { tempoBpm, airBeats: tempoBpm === 120 ? 8 : 4 }),
        played: 'as written',
        wanted: 'passes',
        never: ['missed', 'response'],
      });
  rows.push(
    {
      ...drillOf('airThenNote', 'alto'),
      played: 'no air before or after',
      faults: [0, 2].map((item) => ({ item, kind: 'missed' })),
      wanted: 'passes',
      never: ['missed'],
    },
    {
      ...drillOf('airThenNote', 'tenor'),
      played: 'the third partial speaks first',
      faults: [{ item: 1, kind: 'slip', atSeconds: 0, lengthSeconds: 0.14, toPartial: 3 }],
      wanted: { 1: ['firstPartial'] },
    },
    {
      ...drillOf('airThenNote', 'alto'),
      played: 'the note never speaks',
      faults: [{ item: 1, kind: 'missed' }],
      wanted: { 1: ['missed'] },
    },
    {
      ...drillOf('overtoneSwitch', 'alto', 0, { attack: 'tongued' }),
      played: 'slurred where it is tongued',
      change: notes((note, index) => (index > 0 ? { ...note, attack: 'slurred' } : note)),
      wanted: { 1: ['notTongued'], 2: ['notTongued'] },
    },
    {
      ...drillOf('overtoneHits', 'tenor', 0, { partial: 3 }),
      played: 'the second try on partial 2',
      faults: [{ item: 2, kind: 'wrongPartial', partial: 2 }],
      wanted: { 2: ['lowPartial'] },
    },
    {
      ...drillOf('overtoneHits', 'alto', 0, { partial: 3 }),
      played: 'falls back to the fundamental',
      faults: [{ item: 4, kind: 'slip', atSeconds: 0.6, lengthSeconds: 3, toPartial: 1 }],
      wanted: { 4: ['fellBack'] },
    },
  );
  return rows;
}
