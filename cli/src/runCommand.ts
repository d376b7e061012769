import { resolve } from 'node:path';
import { CoreError } from '@inner-hum/core/signal';
import { framesToCsv } from '@inner-hum/core/formats';
import type { Exercise } from '@inner-hum/core/exercise';
import { analyseFile, readExercise, type FileAnalysis } from './analyseFile.ts';
import { readOptions, USAGE, type Options } from './options.ts';
import { summarise } from './summary.ts';

export interface Out {
  say(text: string): void;
  complain(line: string): void;
}

/** `analyse` with its arguments, typed in a folder. One bad file costs its own complaint and exit code 2, never the others. */
export function runCommand(args: string[], folder: string, out: Out): 0 | 2 {
  const options = readOptions(args);
  if (args.includes('--help') || args.includes('-h')) {
    out.say(`${USAGE}\n`);
    return 0;
  }
  if (typeof options !== 'string') return analyseAll(options, folder, out);
  out.complain(`${options}\n${USAGE}`);
  return 2;
}

function analyseAll(options: Options, folder: string, { say, complain }: Out): 0 | 2 {
  let isFirst = true;
  let isWell = true;
  let exercise: Exercise | null = null;
  try {
    exercise = options.exercise && readExercise(resolve(folder, options.exercise.file));
  } catch (error) {
    complain(`${options.exercise?.file}: ${complaint(error)}`);
    return 2;
  }
  for (const file of options.files) {
    try {
      say(written(analyseFile(file, resolve(folder, file), options, exercise), options, isFirst));
      isFirst = false;
    } catch (error) {
      complain(`${file}: ${complaint(error)}`);
      isWell = false;
    }
  }
  return isWell ? 0 : 2;
}

/** Four decimals of anything are more than is known. */
function rounded(_name: string, value: unknown): unknown {
  return typeof value === 'number' ? Math.round(value * 1e4) / 1e4 : value;
}

function written(analysis: FileAnalysis, { form, context }: Options, isFirst: boolean): string {
  if (form === 'json') return `${JSON.stringify(analysis, rounded)}\n`;
  if (form === 'csv') return framesToCsv([analysis], isFirst);
  return `${summarise(analysis, context)}\n`;
}

function complaint(error: unknown): string {
  if (error instanceof CoreError) return error.message;
  const code = (error as NodeJS.ErrnoException).code;
  if (code === 'ENOENT') return 'There is no such file.';
  if (code === 'EISDIR') return 'This is a folder, not a file.';
  if (code === 'EACCES') return 'The file may not be read: check its permissions.';
  return `The file cannot be read: ${error instanceof Error ? error.message : String(error)}`;
}
