import { parseArgs } from 'node:util';
import { HORN_IDS, isHornId, readNote } from '@inner-hum/core/horn';
import type { RecordingContext } from '@inner-hum/core/judge';

export const USAGE = `Usage: npm run -s analyse -- FILE.wav [MORE.wav] [--horn ${HORN_IDS.join('|')}]
         [--a4 390-470] [--note Bb3 [--expect]] [--json | --csv]

What Inner Hum hears in WAV files: a readable summary, one line of JSON a file, or the frames as CSV.
--note   the written note fingered all through; then partials and jumps are known, and each file is one note
--expect let the partials of that note win where two readings of a frame are even; both are told where they differ`;

export interface Options {
  files: string[];
  form: 'summary' | 'json' | 'csv';
  context: RecordingContext;
  /** The fingered note breaks ties in hearing. */
  expect: boolean;
}

/** Reads the command line. Returns a sentence where it makes no sense. */
export function readOptions(args: string[]): Options | string {
  let parsed;
  try {
    parsed = parseArgs({
      args,
      allowPositionals: true,
      options: {
        horn: { type: 'string', default: 'alto' },
        a4: { type: 'string', default: '440' },
        note: { type: 'string' },
        expect: { type: 'boolean', default: false },
        json: { type: 'boolean', default: false },
        csv: { type: 'boolean', default: false },
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
  if (files.length === 0) return 'No file was given.';
  return {
    files,
    form: values.json ? 'json' : values.csv ? 'csv' : 'summary',
    context: { hornId: values.horn, a4Hz, fingered },
    expect: values.expect,
  };
}
