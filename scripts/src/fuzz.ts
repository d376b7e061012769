import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import { measuredOn, writePage } from './report.ts';

// Knocks at every door through which something comes in, with what was sound and has been changed, and prints what became of it.
//   npm run fuzz -- MINUTES [SEED [DOOR]]     DOOR: only those with this in their name

const MINUTES = Number(process.argv[2] ?? 2);
const SEED = Number(process.argv[3] ?? 1 + (Math.floor(Date.now() / 1000) % 1_000_000));
const ONLY = process.argv[4] ?? '';
/** From so many inputs on, at all doors, the page of docs/ is written. */
const ENOUGH = 1_000_000;
const AT_ONCE = 2;
const HANG_MS = 2000;
const LOOK_MS = 100;
/** To load what the doors need. */
const START_MS = 30_000;

interface Row {
  name: string;
  inputs: number;
  taken: number;
  slowestMs: number;
  hangs: number;
  broken: string[];
}
type Told =
  | { kind: 'doors'; names: string[] }
  | { kind: 'done'; inputs: number; taken: number; slowestMs: number; broken: { n: number; why: string }[] };

const folder = mkdtempSync(join(tmpdir(), 'fuzz-'));
process.on('exit', () => rmSync(folder, { recursive: true }));
const bundle = join(folder, 'fuzzWorker.mjs');
const { outputFiles } = await build({
  entryPoints: [join(import.meta.dirname, '../../web/src/doors/fuzzWorker.ts')],
  bundle: true,
  write: false,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  // Libraries of the older kind ask for what Node has by `require`.
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url); const __dirname = import.meta.dirname; const __filename = import.meta.filename;",
  },
});
writeFileSync(bundle, outputFiles[0].contents);

const answerOf = (workerData: unknown) =>
  new Promise<Told>((resolve, reject) => {
    new Worker(pathToFileURL(bundle), { workerData }).on('message', resolve).on('error', reject);
  });

/** Knocks at one door for its share of the time; a case that does not end is told, and the next one begins after it. */
async function knock(row: Row, door: number, milliseconds: number): Promise<void> {
  const until = Date.now() + milliseconds;
  let from = 0;
  while (Date.now() < until) {
    const at = new SharedArrayBuffer(4);
    const place = new Int32Array(at);
    place[0] = -1;
    const worker = new Worker(pathToFileURL(bundle), {
      workerData: { door, seed: SEED, from, milliseconds: until - Date.now(), at },
    });
    const told = await new Promise<Extract<Told, { kind: 'done' }> | 'hangs'>((resolve, reject) => {
      let [last, since] = [-1, Date.now()];
      const watch = setInterval(() => {
        if (place[0] !== last) [last, since] = [place[0], Date.now()];
        else if (Date.now() - since > (last < 0 ? START_MS : HANG_MS)) resolve('hangs');
      }, LOOK_MS);
      worker.on('message', resolve).on('error', reject);
      worker.on('exit', () => clearInterval(watch));
    });
    await worker.terminate();
    if (told === 'hangs') {
      row.hangs++;
      row.broken.push(`case ${place[0]}: over ${HANG_MS / 1000} s`);
      row.inputs += place[0] + 1 - from;
      from = place[0] + 1;
      continue;
    }
    row.inputs += told.inputs;
    row.taken += told.taken;
    row.slowestMs = Math.max(row.slowestMs, told.slowestMs);
    row.broken.push(...told.broken.map(({ n, why }) => `case ${n}: ${why}`));
    return;
  }
}

const first = await answerOf(null);
const names = first.kind === 'doors' ? first.names : [];
const rows = names.map((name): Row => ({ name, inputs: 0, taken: 0, slowestMs: 0, hangs: 0, broken: [] }));
const doors = names.flatMap((name, door) => (name.includes(ONLY) ? [door] : []));
if (doors.length === 0) {
  console.error(`No door is called ${ONLY}. There are: ${names.join(', ')}.`);
  process.exit(2);
}
const share = (60_000 * MINUTES * Math.min(AT_ONCE, doors.length)) / doors.length;
let next = 0;
const lane = async () => {
  while (next < doors.length) {
    const door = doors[next++];
    const row = rows[door];
    await knock(row, door, share);
    console.log(
      `${row.name}: ${row.inputs} inputs, ${row.taken} taken in, slowest ${Math.round(row.slowestMs)} ms, ${row.broken.length} broken`,
    );
    for (const each of row.broken.slice(0, 5)) console.log(`  SEED=${SEED}, ${each}`);
  }
};
await Promise.all(Array.from({ length: AT_ONCE }, lane));

const sum = (of: (row: Row) => number) => rows.reduce((all, row) => all + of(row), 0);
const summary = `${sum(({ inputs }) => inputs)} inputs, seed ${SEED}: ${sum(({ taken }) => taken)} taken in, ${sum(({ hangs }) => hangs)} over ${HANG_MS / 1000} s, ${sum(({ broken }) => broken.length)} broken`;
console.log(summary);
if (ONLY === '' && sum(({ inputs }) => inputs) >= ENOUGH)
  writePage(
    'doors.md',
    `# What comes in

Scores, recordings, exercises, archives, their rows, addresses: whatever comes from outside is checked where it comes in. It is taken
in where every room can go on with it, and refused in a sentence otherwise. \`npm run fuzz -- MINUTES [SEED [DOOR]]\` takes sound files, rows and addresses, changes them
in one to four places (bits, lengths, numbers, words, parts that are missing or stand there a thousand times; in rows any field) and looks that this holds: no error of a library, no refusal of over 300 letters, nothing
over ${HANG_MS / 1000} s; what was taken in is read by all that reads it, and an archive can be written with it. A run of a million or more writes this page;
\`npm test\` knocks at every door for a second or two (\`web/src/doors\`).

${measuredOn(null)}

${summary}.

| Door | Inputs | Taken in | Slowest, ms | Over ${HANG_MS / 1000} s | Broken |
| --- | ---: | ---: | ---: | ---: | ---: |
${rows.map(({ name, inputs, taken, slowestMs, hangs, broken }) => `| ${name} | ${inputs} | ${taken} | ${Math.round(slowestMs)} | ${hangs} | ${broken.length} |`).join('\n')}
`,
  );
process.exitCode = sum(({ broken }) => broken.length) > 0 ? 1 : 0;
