import { join } from 'node:path';
import {
  buildSwell,
  DEFAULT_SCALE,
  exerciseAsPlayed,
  familyById,
  phraseExercise,
  type Choices,
  type FamilyId,
} from '@inner-hum/core/exercise';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import { concat } from '@inner-hum/core/signal';
import { playExercise, playPhrase, STEADY_HAND } from '@inner-hum/core/simulated';

const folder = join(import.meta.dirname, '.sounds');

export const SOUNDS = {
  faultySwell: join(folder, 'faulty-swell.wav'),
  pairedRound: join(folder, 'paired-round.wav'),
  climb: join(folder, 'climb.wav'),
  drone: join(folder, 'drone.wav'),
  silence: join(folder, 'silence.wav'),
  softAndLoud: join(folder, 'soft-and-loud.wav'),
  loudDescent: join(folder, 'loud-descent.wav'),
  airAndNote: join(folder, 'air-and-note.wav'),
  ownCascade: join(folder, 'own-cascade.wav'),
  ownClimb: join(folder, 'own-climb.wav'),
  ownBreak: join(folder, 'own-break.wav'),
  ownWidening: join(folder, 'own-widening.wav'),
  lick: join(folder, 'lick.wav'),
  hearing: join(folder, 'hearing.wav'),
};

const HORN_ID = 'alto';

/** A drill as the Shelf writes it for the alto. */
function drill(id: FamilyId, choices: Choices) {
  const family = familyById(id);
  if (!family) throw new Error(id);
  return family.build(hornById(HORN_ID), choices);
}

/** Time for the page to open the microphone and make the exercise ready before the note comes. */
const LEAD_SECONDS = 6;

/** 18 cents flat at the loud end, one stair, peak half a beat late, a jump to partial 2 six seconds in. */
export function playFaultySwell() {
  return playExercise({
    exercise: buildSwell({
      note: writtenMidi(67),
      shape: 'growFade',
      beats: 8,
      tempoBpm: 60,
      start: 'playToStart',
    }),
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: {
      ...STEADY_HAND,
      breathDbSoft: -24,
      breathDbLoud: -34,
      tendencyCents: -10.2,
      bendCentsPer10Db: -9,
      peakLateBeats: 0.5,
      stairs: [{ atBeat: 1.5, holdSeconds: 1 }],
      jumps: [{ atSeconds: 6, lengthSeconds: 0.5, toPartial: 2 }],
    },
    sampleRateHz: 48000,
    seed: 33,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 1,
  });
}

/** A quiet room, B4 held at -44 dBFS, a rest, B4 at -18 dBFS: what calibration asks for. */
export function playSoftAndLoud() {
  const held = (levelDb: number, leadSeconds: number, tailSeconds: number) => ({
    soundingHz: 440 * 2 ** ((71 - 9 - 69) / 12),
    partial: 1,
    lengthSeconds: 2.5,
    secondsPerBeat: 1,
    levelDbAtBeat: () => levelDb,
    turnBeat: null,
    scale: DEFAULT_SCALE,
    profile: STEADY_HAND,
    sampleRateHz: 48000,
    seed: 8,
    leadSeconds,
    tailSeconds,
  });
  return playPhrase([held(-44, 6, 2), held(-18, 1, 3)]);
}

/** Paired swells on G4 and G5 as `/stand/drill/pairedSwells?note=67&to=67&tempoBpm=90` writes them, slow enough for its rests to be seen on a loaded machine; the last note is a step too high. */
export function playPairedRound() {
  return playExercise({
    exercise: drill('pairedSwells', { note: 67, to: 67, tempoBpm: 90 }),
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, breathDbSoft: -26, breathDbLoud: -34 },
    faults: [{ item: 3, kind: 'wrongNote', semitones: 2 }],
    sampleRateHz: 48000,
    seed: 12,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 1,
  });
}

/** The series over low Bb to partial 3 and down, as `/stand/drill/overtoneClimb?partial=3&tries=1` writes it; partial 3 slips to 4. */
export function playClimb() {
  return playExercise({
    exercise: drill('overtoneClimb', { partial: 3, tries: 1 }),
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, breathDbSoft: -26, breathDbLoud: -34 },
    faults: [{ item: 2, kind: 'slip', atSeconds: 0.8, lengthSeconds: 0.5, toPartial: 4 }],
    sampleRateHz: 48000,
    seed: 21,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 1,
  });
}

/** What a microphone hears of the app's own flute drone on a written G4 of the alto, for 40 s, and of nobody playing. It gives nothing while it opens. */
export function playDrone() {
  const hz = 440 * 2 ** ((67 - 9 - 69) / 12);
  const partials = [1, 0.16, 0.05];
  const opening = 48000 * 3;
  return Float32Array.from(
    { length: 48000 * 40 },
    (_, n) =>
      partials.reduce(
        (sum, level, k) => sum + 0.03 * level * Math.sin((2 * Math.PI * (k + 1) * hz * n) / 48000),
        0,
      ) * Number(n >= opening),
  );
}

/** The quiet descent as `/stand/drill/quietDescent?tempoBpm=120&start=playToStart` writes it, played f from its first note to its last. */
export function playLoudDescent() {
  const written = drill('quietDescent', { tempoBpm: 120 });
  const [phrase] = written.phrases;
  const items = phrase.items.map((item) =>
    item.kind === 'note'
      ? { ...item, dynamics: item.dynamics.map((point) => ({ ...point, mark: 'f' as const })) }
      : item,
  );
  return playExercise({
    exercise: { ...written, phrases: [{ ...phrase, items }] },
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, breathDbSoft: -26, breathDbLoud: -34 },
    sampleRateHz: 48000,
    seed: 41,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 2,
  });
}

/** Air, the note out of it, and air again, as the first phrase of `/stand/drill/airThenNote?tempoBpm=90` writes it. */
export function playAirAndNote() {
  return playExercise({
    exercise: phraseExercise(drill('airThenNote', { tempoBpm: 90 }), 0),
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, breathDbSoft: -20, breathDbLoud: -34 },
    sampleRateHz: 48000,
    seed: 43,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 20,
  });
}

/** D6 by its own fingers, D6 over G5, E6 over A5, tongued, two seconds each: as one may write it in the builder. */
export function playLick() {
  const scale = drill('overtoneScale', { tempoBpm: 60, start: 'countIn' });
  const [item] = scale.phrases[0].items;
  const note = (midi: number, fingered: number | null) => ({
    ...item,
    writtenMidi: writtenMidi(midi),
    fingered: fingered === null ? null : writtenMidi(fingered),
    attack: 'tongued' as const,
  });
  const items = [note(86, null), note(86, 79), note(88, 81)] as (typeof scale)['phrases'][0]['items'];
  return playExercise({
    exercise: { ...scale, phrases: [{ ...scale.phrases[0], items }] },
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: STEADY_HAND,
    sampleRateHz: 48000,
    seed: 47,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 20,
  });
}

/** The first phrase of a drill, each item held so many beats, as a player in no hurry would. */
export function playInOwnTime(id: FamilyId, choices: Choices, beats: readonly number[]) {
  return playExercise({
    exercise: exerciseAsPlayed(phraseExercise(drill(id, choices), 0), beats),
    hornId: HORN_ID,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, breathDbSoft: -26, breathDbLoud: -34 },
    sampleRateHz: 48000,
    seed: 51,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 2,
  });
}

/** How much longer than what was played somebody waits before the next note. */
const WAITS_SECONDS = 2.5;

/** What `/stand/drill/firstHearing?beats=2&tempoBpm=120` asks of an alto, from B4 to the overtones; instead of the twelfth the octave comes once more. */
export function playHearing(): Float32Array<ArrayBuffer> {
  const exercise = drill('firstHearing', { beats: 2, tempoBpm: 120 });
  const last = exercise.phrases.length - 1;
  const parts = exercise.phrases.map((_, i) => {
    const phrase = phraseExercise(exercise, i);
    const seconds = (phrase.phrases[0].items[0].lengthBeats * 60) / exercise.tempoBpm;
    return playExercise({
      exercise: phrase,
      hornId: HORN_ID,
      a4Hz: 440,
      scale: { floorDb: -48, ceilingDb: -14, source: 'assumed' },
      profile: { ...STEADY_HAND, breathDbSoft: -26, breathDbLoud: -34 },
      faults: i === last ? [{ item: 0, kind: 'wrongNote', semitones: -7 }] : [],
      sampleRateHz: 48000,
      seed: 53 + i,
      leadSeconds: i === 0 ? LEAD_SECONDS : 0,
      tailSeconds: seconds + WAITS_SECONDS,
    }).samples;
  });
  return concat(Float32Array, parts);
}
