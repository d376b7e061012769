import { fractionAtLevel, type DynamicScale } from '@inner-hum/core/exercise';
import { columnValue, FRAME_SECONDS, type FrameTrack } from '@inner-hum/core/hearing';
import { centsBetween, frequencyHz, nearestMidi, type PitchTarget } from '@inner-hum/core/horn';
import { partialOf } from '@inner-hum/core/tone';

/** A note and when it is to sound, on the frames' clock. */
export interface InkNote extends PitchTarget {
  fromSeconds: number;
  toSeconds: number;
  /** Bent with one fingering: on its way it is no slip. */
  isBent?: boolean;
}

/** What frames are drawn against. Without notes the nearest one is the rule (free desk). */
export interface InkSetting {
  scale: DynamicScale;
  a4Hz: number;
  notes: readonly InkNote[] | null;
  /** Written loudness (0-1 on the scale) at a time of the take; null where nothing is written. */
  wantedAt(seconds: number): number | null;
  /** Cents by which the rule itself is bent at a time of the take; absent or null: it is straight. */
  bendAt?: ((seconds: number) => number) | null;
}

export const NO_INK = 0;
export const INK = 1;
export const STRAY = 2;
export const CALM_FRAMES = 3;

/** Tone under this is the room, not ink. */
const LEAST_CLARITY = 0.5;
const LEAP_CENTS = 30;
/** A note that comes early or late is still that note. */
const SLACK_SECONDS = 0.6;
const AWAY_CENTS = 15;
/** Farther from a written bend it is no try at it. */
const MOST_OFF_BEND_CENTS = 900;
const CLEAR_BREATH_DB = -28;
const AIRY_BREATH_DB = -4;

/** Frames turned into what the ribbon draws, in musical units: nothing here knows about pixels. */
export class InkTrack {
  count = 0;
  kind = new Uint8Array(0);
  /** Deviation from the rule in cents; for stray ink from its own partial. */
  cents = new Float32Array(0);
  /** Loudness on the player's scale, 0 at ppp, 1 at fff. */
  loudness = new Float32Array(0);
  /** 0 clear to 1 all air. */
  breath = new Float32Array(0);
  /** Sounding partial of stray ink. */
  partial = new Uint8Array(0);
  /** Partial that should sound. */
  expected = new Uint8Array(0);
  /** Written loudness; NaN where nothing is written. */
  wanted = new Float32Array(0);
  /** Cents by which the rule is bent here; deviations count from it. */
  bend = new Float32Array(0);

  private readonly setting: InkSetting;

  constructor(setting: InkSetting) {
    this.setting = setting;
  }

  /** Reads the frames that `track` has gained since the last call, up to `end`. Returns how many. */
  follow(track: FrameTrack, end: number = track.count): number {
    const from = this.count;
    this.reserve(end);
    for (let i = from; i < end; i++) this.read(track, i);
    this.count = Math.max(from, end);
    return this.count - from;
  }

  /** A column smoothed over 70 ms within unbroken ink of one kind: what an eye would draw through the frames. */
  calm(column: Float32Array, i: number): number {
    let sum = column[i];
    let weight = 1;
    for (const side of [-1, 1])
      for (let d = 1; d <= CALM_FRAMES; d++) {
        const j = i + side * d;
        if (j < 0 || j >= this.count || this.kind[j] !== this.kind[i]) break;
        sum += column[j];
        weight++;
      }
    return sum / weight;
  }

  private read(track: FrameTrack, i: number): void {
    const { scale, a4Hz, wantedAt, bendAt } = this.setting;
    const f0Hz = columnValue(track.columns.f0Hz, i);
    this.loudness[i] = fractionAtLevel(track.columns.levelDb[i], scale);
    this.wanted[i] = wantedAt(i * FRAME_SECONDS) ?? Number.NaN;
    this.bend[i] = bendAt?.(i * FRAME_SECONDS) ?? 0;
    this.kind[i] = NO_INK;
    if (f0Hz === null || track.columns.clarity[i] < LEAST_CLARITY || this.loudness[i] < -0.2) return;
    const noiseToHarmonicDb = columnValue(track.columns.noiseToHarmonicDb, i) ?? CLEAR_BREATH_DB;
    const breath = (noiseToHarmonicDb - CLEAR_BREATH_DB) / (AIRY_BREATH_DB - CLEAR_BREATH_DB);
    this.breath[i] = Math.max(0, Math.min(1, breath));
    this.kind[i] = INK;
    const note = this.noteAt(i * FRAME_SECONDS, f0Hz);
    if (!note) {
      // Between the notes of an exercise nothing is drawn.
      if (this.setting.notes) this.kind[i] = NO_INK;
      this.cents[i] = centsBetween(f0Hz, frequencyHz(nearestMidi(f0Hz, a4Hz), a4Hz));
      return;
    }
    this.expected[i] = note.partial;
    if (note.isBent) {
      this.cents[i] = centsBetween(f0Hz, note.targetHz) - this.bend[i];
      if (Math.abs(this.cents[i]) > MOST_OFF_BEND_CENTS) this.kind[i] = NO_INK;
      return;
    }
    const partial = partialOf(f0Hz, note.tubeHz);
    if (partial !== null && partial !== note.partial) {
      this.kind[i] = STRAY;
      this.partial[i] = partial;
      this.cents[i] = centsBetween(f0Hz, partial * note.tubeHz);
    } else {
      this.cents[i] = centsBetween(f0Hz, note.targetHz);
      // What leaps there between two partials, or is no bend of the note at all (speech, a wrong key), is no ink.
      const before = columnValue(track.columns.f0Hz, i - 1);
      const leaps = before === null || Math.abs(centsBetween(f0Hz, before)) > LEAP_CENTS;
      if (Math.abs(this.cents[i]) > 150 || (partial === null && leaps)) this.kind[i] = NO_INK;
    }
  }

  /** The note that is played: of those written around now, the one nearest to what sounds. A lone note is always meant. */
  private noteAt(seconds: number, f0Hz: number): InkNote | null {
    const { notes } = this.setting;
    if (!notes) return null;
    if (notes.length === 1) return notes[0];
    let nearest: InkNote | null = null;
    let least = Infinity;
    for (const note of notes) {
      if (seconds < note.fromSeconds - SLACK_SECONDS || seconds > note.toSeconds + SLACK_SECONDS) continue;
      // What is written now goes before what is written near.
      const now = seconds >= note.fromSeconds && seconds < note.toSeconds;
      const off = Math.abs(centsBetween(f0Hz, note.targetHz)) + (now ? 0 : AWAY_CENTS);
      if (off >= least) continue;
      nearest = note;
      least = off;
    }
    return nearest;
  }

  private reserve(count: number): void {
    if (count <= this.kind.length) return;
    const capacity = Math.max(count, 2 * this.kind.length, 1024);
    const grow = <T extends Float32Array | Uint8Array>(column: T, fresh: T) => {
      fresh.set(column);
      return fresh;
    };
    this.kind = grow(this.kind, new Uint8Array(capacity));
    this.partial = grow(this.partial, new Uint8Array(capacity));
    this.cents = grow(this.cents, new Float32Array(capacity));
    this.expected = grow(this.expected, new Uint8Array(capacity));
    this.loudness = grow(this.loudness, new Float32Array(capacity));
    this.breath = grow(this.breath, new Float32Array(capacity));
    this.bend = grow(this.bend, new Float32Array(capacity));
    this.wanted = grow(this.wanted, new Float32Array(capacity));
  }
}
