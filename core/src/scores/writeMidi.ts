import toneMidi from '@tonejs/midi';
import {
  noteTarget,
  onPaper,
  playedPhrases,
  restAfter,
  restBeats,
  targetFraction,
  type Exercise,
  type NoteItem,
} from '../exercise/index.ts';
import { nearestMidi, type HornId } from '../horn/index.ts';
import { DRUM_CHANNEL } from './readMidi.ts';

const TICKS_A_BEAT = 480;
/** General MIDI: alto saxophone, and a click of its drums. */
const SAXOPHONE = 65;
const CLICK = { first: 76, other: 77 };
const CLICK_BEATS = 0.1;
/** How fine a hairpin goes, in beats. */
const SWELL_BEATS = 0.25;
const EXPRESSION = 11;
/** What a note is struck with: how loud it is, expression alone says, or a mark would count twice. */
const VELOCITY = 100 / 127;
/** From ppp to fff: pp to ff is 20 dB of it. A synthesiser takes expression as 40 log10 of its share. */
const SPAN_DB = 28;
const DB_A_DECADE = 40;

const expression = (fraction: number) => 10 ** ((-SPAN_DB * (1 - fraction)) / DB_A_DECADE);
const ticks = (beats: number) => Math.round(beats * TICKS_A_BEAT);

export interface MidiChoice {
  /** A track with a click on every beat. */
  click: boolean;
  a4Hz: number;
}

/**
 * An exercise as a standard MIDI file: it sounds as the horn sounds, phrases in playing order with their rests, tempo and metre,
 * hairpins as expression, and a click where it is wanted. What is only heard, hummed or imagined is left out.
 */
export function exerciseToMidi(
  exercise: Exercise,
  hornId: HornId,
  { click, a4Hz }: MidiChoice,
): Uint8Array<ArrayBuffer> {
  const midi = new toneMidi.Midi();
  midi.header.fromJSON({
    name: exercise.name ?? exercise.family ?? '',
    ppq: TICKS_A_BEAT,
    meta: [],
    keySignatures: [],
    tempos: [{ ticks: 0, bpm: exercise.tempoBpm }],
    timeSignatures: [{ ticks: 0, timeSignature: [exercise.beatsPerBar, 4] }],
  });
  const horn = midi.addTrack();
  horn.name = 'Horn';
  horn.instrument.number = SAXOPHONE;
  let beat = 0;
  for (const phrase of playedPhrases(onPaper(exercise))) {
    for (const item of phrase.items) {
      if (item.kind === 'note') addNote(horn, exercise, item, hornId, a4Hz, beat);
      beat += item.lengthBeats;
    }
    // Where the player decides there is a bar to breathe.
    beat += restAfter(exercise, phrase).kind === 'wait' ? exercise.beatsPerBar : restBeats(exercise, phrase);
  }
  if (click) {
    const track = midi.addTrack();
    track.name = 'Click';
    track.channel = DRUM_CHANNEL;
    for (let n = 0; n < beat; n++)
      track.addNote({
        midi: n % exercise.beatsPerBar === 0 ? CLICK.first : CLICK.other,
        ticks: ticks(n),
        durationTicks: ticks(CLICK_BEATS),
        velocity: 0.8,
      });
  }
  return new Uint8Array(midi.toArray());
}

type Track = ReturnType<InstanceType<typeof toneMidi.Midi>['addTrack']>;

function addNote(
  track: Track,
  exercise: Exercise,
  item: NoteItem,
  hornId: HornId,
  a4Hz: number,
  beat: number,
) {
  const { targetHz } = noteTarget(exercise, item, hornId, a4Hz);
  track.addNote({
    midi: nearestMidi(targetHz, a4Hz),
    ticks: ticks(beat),
    durationTicks: ticks(item.lengthBeats),
    velocity: VELOCITY,
  });
  const isSteady = item.dynamics.every(({ mark }) => mark === item.dynamics[0].mark);
  const step = isSteady ? item.lengthBeats : SWELL_BEATS;
  for (let at = 0; at < item.lengthBeats; at += step)
    track.addCC({
      number: EXPRESSION,
      // The first is there before the note is.
      ticks: at === 0 ? Math.max(0, ticks(beat) - 1) : ticks(beat + at),
      value: expression(targetFraction(item, at)),
    });
}
