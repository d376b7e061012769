import { nameNote } from '@inner-hum/core/horn';
import type { ItemAnalysis, RecordedNote, RecordingContext } from '@inner-hum/core/judge';
import type { FileAnalysis } from './analyseFile.ts';

function noteName(note: Pick<RecordedNote, 'writtenMidi'>): string {
  const { stem, accidental, octave } = nameNote(note.writtenMidi, 'letters');
  return `${stem}${accidental === 'sharp' ? '#' : accidental === 'flat' ? 'b' : ''}${octave}`;
}

function signed(value: number | null, digits: number, unit: string): string | null {
  return value === null ? null : `${value < 0 ? '' : '+'}${value.toFixed(digits)} ${unit}`;
}

function noteLine(note: RecordedNote): string {
  const { measures: m } = note;
  const spread = m.centsSpread === null ? '' : ` (spread ${m.centsSpread.toFixed(1)})`;
  const parts = [
    `${note.startSeconds.toFixed(2)}-${note.endSeconds.toFixed(2)} s`,
    `written ${noteName(note)}`,
    `${note.soundingHz.toFixed(2)} Hz`,
    m.centsMean === null ? 'too short to measure' : `${signed(m.centsMean, 1, 'cents')}${spread}`,
    m.levelDb === null ? null : `${m.levelDb.toFixed(1)} dBFS`,
    m.dynamicSpanDb === null ? null : `span ${m.dynamicSpanDb.toFixed(1)} dB`,
    m.pitchSlopeCentsPer10Db === null
      ? null
      : `bend ${signed(m.pitchSlopeCentsPer10Db, 1, 'cents per 10 dB')}`,
    m.responseMs === null ? null : `spoke after ${m.responseMs.toFixed(0)} ms of air`,
    m.noiseToHarmonicDb === null ? null : `breath ${m.noiseToHarmonicDb.toFixed(0)} dB`,
  ];
  return `  ${parts.filter((part) => part !== null).join(', ')}`;
}

/** A file in words: a line for it, one for each note, one for each thing that went wrong. */
export function summarise(
  { file, sampleRateHz, frames, notes, events, items }: FileAnalysis,
  context: RecordingContext,
): string {
  const seconds = ((frames.length - 1) / 100).toFixed(2);
  const heard =
    notes.length === 0
      ? 'no tone'
      : `${notes.length} ${notes.length === 1 ? 'note' : 'notes'} of ${context.hornId}`;
  const lines = [`${file}: ${seconds} s at ${sampleRateHz} Hz, ${heard}`, ...notes.map(noteLine)];
  for (const event of events) {
    const at = `  ${event.timeSeconds.toFixed(2)} s`;
    if (event.type === 'jump' || event.type === 'crack')
      lines.push(`${at}: ${event.type} to partial ${event.to} for ${event.lengthSeconds.toFixed(2)} s`);
    if (event.type === 'squeak')
      lines.push(
        `${at}: squeak at ${event.soundingHz.toFixed(0)} Hz for ${event.lengthSeconds.toFixed(2)} s`,
      );
    if (event.type === 'release' && !event.clean)
      lines.push(`${at}: the end sagged by ${(event.sagCents ?? 0).toFixed(0)} cents`);
    if (event.type === 'gap') lines.push(`${at}: gap of ${event.lengthSeconds.toFixed(2)} s`);
  }
  if (items) lines.push(...items.flatMap((item) => itemLine(item) ?? []));
  return lines.join('\n');
}

/** What became of an item, with the figures of how it came in and followed the one before. */
function itemLine(item: ItemAnalysis): string | null {
  if (item.verdict === null) return null;
  const figure = (value: number | null | undefined, unit: string, name: string) =>
    value === null || value === undefined ? [] : [`${name} ${value.toFixed(0)} ${unit}`];
  const m = item.kind === 'note' ? item.measures : null;
  const parts = [
    `  item ${item.item + 1}, ${item.kind}${'writtenMidi' in item ? ` ${noteName(item)}` : ''}`,
    item.verdict.findings.map(({ kind }) => kind).join(' and '),
    ...figure(m?.onsetOffsetMs, 'ms', 'off the beat by'),
    ...figure(m?.slurMs, 'ms', 'slurred in'),
    ...figure(m?.holdSeconds, 's', 'held'),
  ];
  return parts.join(', ');
}
