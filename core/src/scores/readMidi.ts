import toneMidi from '@tonejs/midi';
import { CoreError, type Reason } from '../signal/index.ts';
import { metreBeats } from './metre.ts';
import {
  MOST_LETTERS,
  MOST_NOTES,
  MOST_PARTS,
  playableBpm,
  type ReadScore,
  type ScorePart,
} from './scorePart.ts';

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('score-unreadable', sentence, { name, values });
const HEAD = 'MThd';
const TRACK = 'MTrk';
const MOST_BEATS = 20_000;
/** Played notes are written on this grid, of a quarter note: sixteenths and triplets. */
const GRID = 1 / 12;
/** Channel 10 of General MIDI, counted from 0. */
export const DRUM_CHANNEL = 9;

/** Looks at the chunks before anything trusts their sizes. */
function checkChunks(bytes: Uint8Array): void {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const name = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 14 || name(0) !== HEAD) throw refuse('This is no MIDI file.', 'notMidi');
  const promised = view.getUint16(10);
  if (view.getUint16(12) === 0)
    throw refuse('The MIDI header is broken: it has no ticks in a beat.', 'damaged');
  if ((view.getUint16(12) & 0x8000) !== 0)
    throw refuse('The MIDI file counts in film frames, not in beats. Save it with a metre.', 'midiFrames');
  let tracks = 0;
  for (let at = 8 + view.getUint32(4); at < bytes.length;) {
    if (at + 8 > bytes.length) throw refuse('The MIDI file is cut short.', 'cutShort');
    const size = view.getUint32(at + 4);
    if (at + 8 + size > bytes.length) throw refuse('The MIDI file is cut short.', 'cutShort');
    if (name(at) === TRACK) tracks++;
    at += 8 + size;
  }
  if (tracks === 0 || tracks < promised) throw refuse('The MIDI file is cut short.', 'cutShort');
  if (tracks > MOST_PARTS)
    throw refuse(`The MIDI file has ${tracks} tracks; at most ${MOST_PARTS} are read.`, 'tooManyParts', {
      count: tracks,
      most: MOST_PARTS,
    });
}

const onGrid = (beats: number) => Math.round(beats / GRID) * GRID;

/** Reads a standard MIDI file; each track with notes is a part, its highest line. Throws `score-unreadable` with a sentence. */
export function readMidi(bytes: Uint8Array): ReadScore {
  checkChunks(bytes);
  let midi: InstanceType<typeof toneMidi.Midi>;
  try {
    midi = new toneMidi.Midi(bytes);
  } catch (error) {
    throw refuse(`The MIDI file cannot be read: ${(error as Error).message}.`, 'damaged');
  }
  const { ppq } = midi.header;
  const [count, of] = midi.header.timeSignatures.at(0)?.timeSignature ?? [4, 4];
  const beatsPerBar = metreBeats(count, of) ?? 4;
  const parts = midi.tracks.flatMap((track, i): ScorePart[] => {
    if (track.notes.length === 0 || track.channel === DRUM_CHANNEL) return [];
    if (track.notes.length > MOST_NOTES)
      throw refuse(`A track has more than ${MOST_NOTES} notes.`, 'tooManyNotes', { most: MOST_NOTES });
    const heard = track.notes
      .map(({ ticks, durationTicks, midi: pitch }) => ({
        startBeat: onGrid(ticks / ppq),
        endBeat: onGrid((ticks + durationTicks) / ppq),
        soundingMidi: pitch,
      }))
      .toSorted((a, b) => a.startBeat - b.startBeat || b.soundingMidi - a.soundingMidi);
    const line = heard.filter((note, n) => n === 0 || note.startBeat > heard[n - 1].startBeat);
    const notes = line.flatMap(({ startBeat, endBeat, soundingMidi }, n) => {
      const next = line[n + 1]?.startBeat ?? Infinity;
      const lengthBeats = Math.min(endBeat, next) - startBeat;
      return lengthBeats <= 0
        ? []
        : [
            {
              startBeat,
              lengthBeats,
              soundingMidi,
              writtenMidi: soundingMidi,
              fingeredMidi: null,
              slurred: false,
            },
          ];
    });
    const last = notes.at(-1);
    const end = last ? last.startBeat + last.lengthBeats : 0;
    if (end > MOST_BEATS)
      throw refuse(
        `The MIDI file lasts ${Math.round(end)} beats; at most ${MOST_BEATS} are read.`,
        'tooLong',
        {
          beats: Math.round(end),
          most: MOST_BEATS,
        },
      );
    const bars = Array.from({ length: Math.max(1, Math.ceil(end / beatsPerBar - 1e-6)) }, (_, bar) => ({
      startBeat: bar * beatsPerBar,
      lengthBeats: beatsPerBar,
      number: String(bar + 1),
      key: null,
    }));
    return [
      {
        name: (track.name || track.instrument.name || String(i + 1)).slice(0, MOST_LETTERS),
        transposition: 0,
        bars,
        notes,
        dynamics: [],
      },
    ];
  });
  if (parts.length === 0) throw refuse('The MIDI file holds no pitched note.', 'noNotes');
  return {
    title: midi.name.slice(0, MOST_LETTERS),
    tempoBpm: playableBpm(midi.header.tempos.at(0)?.bpm),
    beatsPerBar,
    parts,
  };
}
