import { resolve } from 'node:path';
import { CoreError } from '@inner-hum/core/signal';
import { framesToCsv } from '@inner-hum/core/formats';
import type { Exercise } from '@inner-hum/core/exercise';
import { analyseFile, readExercise, type FileAnalysis } from './analyseFile.ts';
import { readOptions, USAGE, type Options } from './options.ts';
import { summarise } from './summary.ts';

// The core over WAV files. One bad file costs its own line on standard error and the exit code, never the others.

/** npm runs scripts in the project's folder; files are meant from where the command was typed. */
const typedIn = process.env.INIT_CWD ?? process.cwd();

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

function analyseAll(options: Options) {
  let isFirst = true;
  let exercise: Exercise | null = null;
  try {
    exercise = options.exercise && readExercise(resolve(typedIn, options.exercise.file));
  } catch (error) {
    console.error(`${options.exercise?.file}: ${complaint(error)}`);
    process.exitCode = 2;
    return;
  }
  for (const file of options.files) {
    try {
      const text = written(analyseFile(file, resolve(typedIn, file), options, exercise), options, isFirst);
      process.stdout.write(text);
      isFirst = false;
    } catch (error) {
      console.error(`${file}: ${complaint(error)}`);
      // No process.exit: what was written may still be on its way through a pipe.
      process.exitCode = 2;
    }
  }
}

// A reader that has seen enough (`| head`) is no error.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});

const args = process.argv.slice(2);
const options = readOptions(args);
if (args.includes('--help') || args.includes('-h')) process.stdout.write(`${USAGE}\n`);
else if (typeof options === 'string') {
  console.error(`${options}\n${USAGE}`);
  process.exitCode = 2;
} else analyseAll(options);
