import { withLength } from '../exercise/index.ts';
import type { ItemFault } from '../simulated/index.ts';
import { items, longer, noteItems, notes, drillOf, told, FOUR, type VerdictRow } from './verdictTable.ts';

/** Every note falls to nothing over its last beats. */
const fading = (beats: number) =>
  notes((note) => ({
    ...note,
    dynamics: [
      { beat: 0, mark: 'mf' },
      { beat: note.lengthBeats - beats, mark: 'mf' },
      { beat: note.lengthBeats, mark: 'ppp' },
    ],
  }));

/** Beginnings and ends against the beat. */
export function timeRows(): VerdictRow[] {
  const rows: VerdictRow[] = [];
  for (const hornId of FOUR) {
    const beats = drillOf('beatsOnOff', hornId);
    const noteAt = noteItems(beats);
    const shifted = (seconds: number): ItemFault[] => noteAt.map((item) => ({ item, kind: 'late', seconds }));
    rows.push(
      {
        ...beats,
        played: 'begins and ends one beat late',
        change: notes((note, index) => (index === 0 ? withLength(note, note.lengthBeats + 1) : note)),
        faults: [{ item: 0, kind: 'late', seconds: 1 }],
        wanted: told(beats, ['beat', 'endBeat']),
      },
      {
        ...beats,
        played: 'ends half a beat early',
        change: longer(-0.5),
        wanted: told(beats, ['endBeat', 'short']),
      },
      { ...beats, played: 'ends a beat late', change: longer(1), wanted: told(beats, ['endBeat']) },
      { ...beats, played: 'begins 140 ms late', faults: shifted(0.14), wanted: told(beats, ['beat']) },
      { ...beats, played: 'begins 80 ms late', faults: shifted(0.08), wanted: 'passes' },
      { ...beats, played: 'ends 80 ms late', change: longer(0.08), wanted: 'passes' },
      {
        ...beats,
        played: 'dies away over its last beat',
        change: fading(1),
        wanted: told(beats, ['endFades']),
      },
      { ...beats, played: 'falls within 80 ms', change: fading(0.08), wanted: 'passes' },
    );
  }
  for (const hornId of FOUR) {
    // In time, and each change when it was ready: every one of them is late by as much, and by no more.
    const climb = drillOf('overtoneClimb', hornId, 0, { start: 'playToStart' });
    const late: ItemFault = { item: 3, kind: 'late', seconds: 0.4 };
    rows.push(
      {
        ...climb,
        played: 'one partial held half a beat longer, the rest follows',
        change: notes((note, index) => (index === 2 ? withLength(note, note.lengthBeats + 0.5) : note)),
        wanted: { 3: ['beat'] },
        only: [3],
      },
      {
        ...climb,
        played: 'one change late, back on the beat',
        faults: [late],
        wanted: { 3: ['beat'] },
        only: [3],
      },
    );
  }
  for (const hornId of ['alto', 'tenor'] as const) {
    const beats = drillOf('beatsOnOff', hornId);
    rows.push({
      ...beats,
      played: 'begins half a beat early',
      change: items((item, index) =>
        item.kind === 'rest' && index === 1 ? { ...item, lengthBeats: item.lengthBeats - 0.5 } : item,
      ),
      wanted: told(beats, ['beat', 'endBeat'], [0]),
    });
  }
  return rows;
}
