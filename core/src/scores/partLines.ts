import { CoreError } from '../signal/index.ts';
import type { Measure } from './measure.ts';
import { MOST_LETTERS, MOST_STAVES, type ScoreDynamic, type ScoreNote, type ScorePart } from './scorePart.ts';

/** The lines of a part: each staff by its leading voice; a staff of diamonds is what is fingered for the one above. Throws `score-unreadable` for more staves than any part has. */
export function linesOf(
  measures: readonly Measure[],
  order: readonly number[],
  name: string,
  transposition: number,
): ScorePart[] {
  const staves = [...new Set(measures.flatMap(({ notes }) => notes.map(({ staff }) => staff)))].toSorted(
    (a, b) => a - b,
  );
  if (staves.length > MOST_STAVES)
    throw new CoreError(
      'score-unreadable',
      `A part has ${staves.length} staves; at most ${MOST_STAVES} are read.`,
      { name: 'tooManyStaves', values: { count: staves.length, most: MOST_STAVES } },
    );
  const isFingered = (staff: number) => {
    const own = measures.flatMap(({ notes }) => notes.filter((note) => note.staff === staff));
    return own.length > 0 && own.every(({ isDiamond }) => isDiamond);
  };
  const sounding = staves.filter((staff) => !isFingered(staff));
  return sounding.map((staff) => {
    const below = staves.find((other) => other > staff && isFingered(other) && !sounding.includes(other));
    const line = lineOf(measures, order, staff);
    const fingered = below === undefined ? [] : lineOf(measures, order, below).notes;
    return {
      name: sounding.length > 1 ? `${name.slice(0, MOST_LETTERS)} (${staff})` : name.slice(0, MOST_LETTERS),
      transposition,
      bars: line.bars,
      dynamics: line.dynamics,
      notes: line.notes.map((note) => ({
        ...note,
        fingeredMidi:
          fingered.find(({ startBeat }) => Math.abs(startBeat - note.startBeat) < 1e-6)?.writtenMidi ?? null,
      })),
    };
  });
}

function lineOf(measures: readonly Measure[], order: readonly number[], staff: number) {
  const bars: ScorePart['bars'] = [];
  const notes: Omit<ScoreNote, 'fingeredMidi'>[] = [];
  const dynamics: ScoreDynamic[] = [];
  let startBeat = 0;
  let open: { note: Omit<ScoreNote, 'fingeredMidi'>; end: number } | null = null;
  for (const index of order) {
    const measure = measures[index];
    bars.push({ startBeat, lengthBeats: measure.lengthBeats, number: measure.number, key: measure.key });
    for (const sign of measure.dynamics) dynamics.push({ ...sign, beat: startBeat + sign.beat });
    for (const head of leading(measure.notes.filter((note) => note.staff === staff))) {
      const { voice: _voice, staff: _staff, tiedBack, tiedOn, isDiamond: _diamond, ...note } = head;
      const at = startBeat + note.startBeat;
      if (tiedBack && open && open.note.writtenMidi === note.writtenMidi && Math.abs(open.end - at) < 1e-6) {
        open.note.lengthBeats += note.lengthBeats;
        open.end = at + note.lengthBeats;
      } else {
        const placed = { ...note, startBeat: at };
        notes.push(placed);
        open = { note: placed, end: at + note.lengthBeats };
      }
      if (!tiedOn) open = null;
    }
    startBeat += measure.lengthBeats;
  }
  return { bars, notes, dynamics };
}

/** The notes of the voice with the most of them, the highest where several begin together. */
function leading(notes: readonly Measure['notes'][number][]): Measure['notes'] {
  const counts = new Map<string, number>();
  for (const { voice } of notes) counts.set(voice, (counts.get(voice) ?? 0) + 1);
  const [voice] = [...counts].toSorted((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))[0] ?? [''];
  const own = notes
    .filter((note) => note.voice === voice)
    .toSorted((a, b) => a.startBeat - b.startBeat || b.writtenMidi - a.writtenMidi);
  return own.filter((note, i) => i === 0 || note.startBeat > own[i - 1].startBeat + 1e-6);
}
