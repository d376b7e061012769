import { parseArgs } from 'node:util';
import { HORN_IDS, isHornId, readNote } from '@inner-hum/core/horn';
import type { RecordingContext } from '@inner-hum/core/judge';
import { DEFAULT_SCALE, type DynamicScale } from '@inner-hum/core/exercise';

export const USAGE = `Usage: npm run -s analyse -- FILE.wav [MORE.wav] [--horn ${HORN_IDS.join('|')}]
         [--a4 390-470] [--note Bb3 [--expect]] [--json | --csv]
         [--exercise EX.json [--first-beat SECONDS] [--scale FLOOR,CEILING] [--room-floor DB]]

What Inner Hum hears in WAV files: a readable summary, one line of JSON a file, or the frames as CSV.
--note   the written note fingered all through; then partials and jumps are known, and each file is one note
--expect let the partials of that note win where two readings of a frame are even; both are told where they differ
--exercise   what was to be played (docs/formats.md): every item is found and judged
--first-beat beat 0 in the file, for clicked playing; without it the first note sets the beat
--room-floor the room's own noise in dBFS; without it the quietest 0.3 s of the file
--scale      the player's ppp and fff in dBFS at this microphone; without it -46,-16`;

export interface Options {
  files: string[];
  form: 'summary' | 'json' | 'csv';
  context: RecordingContext;
  /** The fingered note breaks ties in hearing. */
  expect: boolean;
  exercise: ExerciseOption | null;
}

/** An exercise to judge by: where it is written, and how it was played. */
export interface ExerciseOption {
  file: string;
  firstBeatSeconds: number | null;
  scale: DynamicScale;
  /** Null: as the file itself tells. */
  roomFloorDb: number | null;
}

/** Levels are negative, and the parser takes `-46,-16` for an option unless it is bound to its name. */
function bindLevels(args: string[]): string[] {
  return args.flatMap((arg, i) => {
    const isLevel = (name: string | undefined) => name === '--scale' || name === '--room-floor';
    if (isLevel(args.at(i - 1)) && i > 0) return [];
    return isLevel(arg) && i + 1 < args.length ? [`${arg}=${args[i + 1]}`] : [arg];
  });
}

/** Reads the command line. Returns a sentence where it makes no sense. */
export function readOptions(args: string[]): Options | string {
  let parsed;
  try {
    parsed = parseArgs({
      args: bindLevels(args),
      allowPositionals: true,
      options: {
        horn: { type: 'string', default: 'alto' },
        a4: { type: 'string', default: '440' },
        note: { type: 'string' },
        expect: { type: 'boolean', default: false },
        json: { type: 'boolean', default: false },
        csv: { type: 'boolean', default: false },
        exercise: { type: 'string' },
        'first-beat': { type: 'string' },
        scale: { type: 'string' },
        'room-floor': { type: 'string' },
      },
    });
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
  const { values, positionals: files } = parsed;
  const a4Hz = Number(values.a4);
  const fingered = values.note === undefined ? null : readNote(values.note);
  if (!isHornId(values.horn)) return `No such horn: ${values.horn}.`;
  if (!(a4Hz >= 390 && a4Hz <= 470)) return `--a4 must be 390-470 Hz, got ${values.a4}.`;
  if (values.note !== undefined && fingered === null)
    return `--note must be a written note such as Bb3, got ${values.note}.`;
  if (values.expect && fingered === null) return '--expect needs --note.';
  if (values.json && values.csv) return 'Choose --json or --csv, not both.';
  const exercise = readExerciseOption(values);
  if (typeof exercise === 'string') return exercise;
  if (exercise && fingered !== null)
    return '--note and --exercise exclude each other: the exercise names its notes.';
  if (files.length === 0) return 'No file was given.';
  return {
    files,
    form: values.json ? 'json' : values.csv ? 'csv' : 'summary',
    context: { hornId: values.horn, a4Hz, fingered },
    expect: values.expect,
    exercise,
  };
}

function readExerciseOption(values: {
  exercise?: string;
  'first-beat'?: string;
  scale?: string;
  'room-floor'?: string;
}): ExerciseOption | null | string {
  const { exercise: file, scale = '', 'first-beat': firstBeat, 'room-floor': room } = values;
  if (file === undefined)
    return firstBeat === undefined && values.scale === undefined && room === undefined
      ? null
      : '--first-beat, --scale and --room-floor need --exercise.';
  const firstBeatSeconds = firstBeat === undefined ? null : Number(firstBeat);
  if (firstBeatSeconds !== null && !(firstBeatSeconds >= 0))
    return `--first-beat must be seconds from the start of the file, got ${firstBeat}.`;
  const roomFloorDb = room === undefined ? null : Number(room);
  if (roomFloorDb !== null && !(roomFloorDb >= -120 && roomFloorDb <= 0))
    return `--room-floor must be a level in dBFS such as --room-floor=-62, got ${room}.`;
  if (values.scale === undefined) return { file, firstBeatSeconds, roomFloorDb, scale: DEFAULT_SCALE };
  const [floorDb, ceilingDb, ...more] = scale.split(',').map(Number);
  if (more.length > 0 || !(floorDb >= -120 && ceilingDb <= 0 && ceilingDb - floorDb >= 6))
    return `--scale must be two levels in dBFS from soft to loud, at least 6 dB apart, such as -46,-16; got ${scale}.`;
  return { file, firstBeatSeconds, roomFloorDb, scale: { floorDb, ceilingDb, source: 'calibrated' } };
}
