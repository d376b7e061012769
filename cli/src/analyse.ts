import { runCommand } from './runCommand.ts';

// The core over WAV files: figures on standard output, complaints on standard error.

// A reader that has seen enough (`| head`) is no error.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});

/** npm runs scripts in the project's folder; files are meant from where the command was typed. */
const typedIn = process.env.INIT_CWD ?? process.cwd();

// No process.exit: what was written may still be on its way through a pipe.
process.exitCode = runCommand(process.argv.slice(2), typedIn, {
  say: (text) => process.stdout.write(text),
  complain: (line) => console.error(line),
});
