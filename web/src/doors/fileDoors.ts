import { familyById, type Exercise } from '@inner-hum/core/exercise';
import {
  decodeFlac,
  decodeWav,
  encodeFlac,
  encodeWav,
  framesFromBytes,
  framesToBytes,
  SOUND_KIND_BYTES,
  soundKind,
} from '@inner-hum/core/formats';
import { listenTo } from '@inner-hum/core/hearing';
import { hornById, type HornId } from '@inner-hum/core/horn';
import { exerciseToMidi, exerciseToMusicXml, MADE_OF_SCORE, scoreExercise } from '@inner-hum/core/scores';
import { SCORE_WORDS } from '@inner-hum/core/testing';
import { createRandom, roundToSteps } from '@inner-hum/core/signal';
import { BlobWriter, TextReader, ZipWriter } from '../archive/zip.ts';
import { openScore } from '../workers/openScore.ts';
import { bytesOf, expectSaid, isRead, type Bytes, type Door } from './door.ts';
import { mutatedBytes } from './mutateBytes.ts';
import { MIDI_CHOICE, readExercise } from './readExercise.ts';

const ALTO = hornById('alto');
const MOST_TITLE = 200;
/** Parts and bars that are made an exercise of. */
const SOME_PARTS = 2;
const SOME_BARS = 16;

/** Exercises that hold all that exercises can hold. */
const WRITTEN: readonly [familyId: string, hornId: HornId][] = [
  ['swell', 'alto'],
  ['quietDescent', 'tenor'],
  ['overtoneHits', 'alto'],
  ['airThenNote', 'soprano'],
  ['pairedSwells', 'alto'],
  ['scaleEnds', 'alto'],
  ['noteBends', 'tenor'],
];
export const EXERCISES: readonly Exercise[] = WRITTEN.flatMap(
  ([familyId, hornId]) => familyById(familyId)?.build(hornById(hornId)) ?? [],
);
const asMusicXml = (exercise: Exercise) => exerciseToMusicXml(exercise, 'alto', SCORE_WORDS);

async function isScore(bytes: Bytes): Promise<boolean> {
  const opened = await openScore(new Blob([bytes]));
  if (opened.kind === 'refused') {
    if (!opened.why.reason) throw new Error(`a foreign error: ${opened.why.text.slice(0, MOST_TITLE)}`);
    expectSaid(opened.why);
    return false;
  }
  const { score } = opened;
  if (score.title.length > MOST_TITLE) throw new Error('the title is longer than any');
  for (const [part, { bars }] of score.parts.slice(0, SOME_PARTS).entries()) {
    const toBar = Math.min(bars.length, SOME_BARS) - 1;
    const make = MADE_OF_SCORE[part % MADE_OF_SCORE.length];
    const made = scoreExercise(
      score,
      { part, fromBar: 0, toBar, reading: 'written', octaves: 0, make },
      ALTO,
    );
    if (made) readExercise(made.exercise);
  }
  return true;
}

/** A door of files: sound ones, changed. */
function fileDoor(name: string, files: () => Promise<Bytes[]> | Bytes[], open: Door['open']): Door {
  let made: Promise<Bytes[]> | null = null;
  return {
    name,
    async make(random) {
      made ??= Promise.resolve(files());
      return mutatedBytes(await made, random);
    },
    open,
  };
}

const CONTAINER = '<container><rootfiles><rootfile full-path="score.musicxml"/></rootfiles></container>';

const packedScores = () =>
  Promise.all(
    EXERCISES.map(async (exercise) => {
      // Not packed tight, so that what is changed is the text.
      const zip = new ZipWriter(new BlobWriter(), { level: 0 });
      await zip.add('META-INF/container.xml', new TextReader(CONTAINER));
      await zip.add('score.musicxml', new TextReader(asMusicXml(exercise)));
      return new Uint8Array(await (await zip.close()).arrayBuffer());
    }),
  );

function shortSound(seed: number): Float32Array<ArrayBuffer> {
  const random = createRandom(seed);
  const samples = Float32Array.from({ length: 2000 }, (_, n) => Math.sin(n / 9) / 2 + random.normal() / 100);
  roundToSteps(samples);
  return samples;
}

function expectNumbers(samples: Float32Array): void {
  if (!samples.every(Number.isFinite)) throw new Error('a sample is no number');
}

const wavFiles = () =>
  Promise.all(
    ([16, 32] as const).map((bits) => encodeWav({ sampleRateHz: 48000, samples: shortSound(bits) }, bits)),
  );

async function flacFiles(): Promise<Bytes[]> {
  const files = [1, 2].map((seed) => encodeFlac({ sampleRateHz: 44100, samples: shortSound(seed) }));
  return (await Promise.all(files)).flatMap((bytes) => bytes ?? []);
}

export const FILE_DOORS: readonly Door[] = [
  fileDoor('score, MusicXML', () => EXERCISES.map((exercise) => bytesOf(asMusicXml(exercise))), isScore),
  fileDoor('score, packed', packedScores, isScore),
  fileDoor('score, MIDI', () => EXERCISES.map((each) => exerciseToMidi(each, 'alto', MIDI_CHOICE)), isScore),
  fileDoor('recording, WAV', wavFiles, (bytes) =>
    isRead(() => {
      soundKind(bytes.subarray(0, SOUND_KIND_BYTES));
      expectNumbers(decodeWav(bytes).samples);
    }),
  ),
  fileDoor('stored sound, FLAC', flacFiles, (bytes) =>
    isRead(async () => expectNumbers((await decodeFlac(bytes)).samples)),
  ),
  fileDoor(
    'frames of a take',
    () => [1, 2].map((seed) => framesToBytes(listenTo(shortSound(seed), 8000).slice(0))),
    (bytes) =>
      isRead(() => {
        const { f0Hz, levelDb } = framesFromBytes(bytes);
        if (!f0Hz.every((each) => Number.isNaN(each) || each === 0 || (each >= 20 && each <= 6000)))
          throw new Error('a pitch that nothing has');
        if (!levelDb.every((each) => each >= -200 && each <= 20)) throw new Error('a level that nothing has');
      }),
  ),
];
