import { disturbances as d, type Disturb } from '@inner-hum/core/testing';
import { CLEAN_ROWS, FAULT_ROWS, runRow } from '@inner-hum/core/verdicts';
import { measuredOn, writePage } from '../report.ts';

/** So many dB under the player, who is at -31 dBFS in the middle. */
const UNDER_DB = [35, 25, 15];
const atThreeLevels = (name: string, make: (underDb: number) => Disturb) =>
  UNDER_DB.map((underDb): [string, Disturb] => [`${name}, ${underDb} dB under`, make(underDb)]);

/** What a take goes through on its way to the app. */
const DISTURBANCES: readonly [name: string, disturb: Disturb][] = [
  ['dry', (samples) => samples.slice()],
  ['small room: 0.35 s, 4 dB under the direct sound', d.room(0.35, 4)],
  ['live room: 0.9 s, 1 dB under', d.room(0.9, 1)],
  ['hall: 1.8 s, 6 dB under', d.room(1.8, 6)],
  ...atThreeLevels('hum of the mains', (underDb) => d.hum(underDb)),
  ...atThreeLevels('hiss', (underDb) => d.hiss(underDb)),
  ...atThreeLevels('drone on D3', (underDb) => d.drone(underDb, 146.83)),
  ...atThreeLevels('speech', (underDb) => d.speech(underDb)),
  ...atThreeLevels('radio', (underDb) => d.radio(underDb)),
  ...atThreeLevels('another horn', (underDb) => d.neighbour(underDb)),
  ['clicks of another metronome', d.clicks(5)],
  ['automatic gain: 24 dB come as 9', d.all(d.hiss(40), d.autoGain())],
  ['noise gate', d.all(d.hiss(40), d.gate())],
  ['echo ducking, 12 dB', d.all(d.hiss(40), d.ducking())],
  ['holes of 20 ms', d.holes()],
];

/** Every so many rows of what must pass and of what must be told: all of them would take hours. */
const CLEAN_EVERY = 12;
const FAULTS_EVERY = 42;

const CLEAN = CLEAN_ROWS.filter((_, i) => i % CLEAN_EVERY === 0);
const FAULTY = FAULT_ROWS.filter((_, i) => i % FAULTS_EVERY === 0);

interface TakesRow {
  name: string;
  blamed: string[];
  named: number;
}

function measure(name: string, disturb: Disturb): TakesRow {
  const blamed = CLEAN.flatMap((row) => {
    const { said, wrong } = runRow(row, 'additive', 7, disturb);
    return wrong === null ? [] : [`${row.hornId}, ${row.family}: ${said}`];
  });
  // Only whether it is told: what else is said beside it counts among the clean takes.
  const named = FAULTY.filter(
    ({ only: _only, never: _never, ...row }) => runRow(row, 'additive', 7, disturb).wrong === null,
  ).length;
  return { name, blamed, named };
}

/** Takes without a fault and takes with one, through rooms, beside neighbours and through laptops: writes docs/takes.md. */
export function benchTakes(): void {
  const rows = DISTURBANCES.map(([name, disturb]) => {
    const row = measure(name, disturb);
    console.log(
      `${name}: ${row.blamed.length} of ${CLEAN.length} blamed, ${row.named} of ${FAULTY.length} named`,
    );
    return row;
  });
  const percent = (count: number, of: number) => `${count} of ${of} (${((100 * count) / of).toFixed(0)} %)`;
  writePage(
    'takes.md',
    `# Takes in rooms, beside neighbours, through laptops

\`npm run bench -- takes\` measures this and writes this page. ${measuredOn(null)}

Every ${CLEAN_EVERY}th drill played exactly as it is written, and every ${FAULTS_EVERY}nd of the faults of the written-against-played table, by tones that the simulated player
did not make (\`additive\`), on several horns; then what a room, a neighbour or a computer does to them (\`core/src/testing/disturbances.ts\`).
No room was calibrated. *Blamed*: something was said of a take without a fault; wanted: at most 2 % dry, 5 % in rooms and 25 dB under the player.
*Named*: the very finding that the table asks for was there on every item it asks for; wanted: 95 % in rooms.

| | blamed without a fault | faults named |
| --- | --- | --- |
${rows.map(({ name, blamed, named }) => `| ${name} | ${percent(blamed.length, CLEAN.length)} | ${percent(named, FAULTY.length)} |`).join('\n')}

## What was said of takes without a fault

${rows
  .filter(({ blamed }) => blamed.length > 0 && blamed.length <= 6)
  .map(({ name, blamed }) => `- ${name}\n${blamed.map((each) => `  - ${each.slice(0, 160)}`).join('\n')}`)
  .join('\n')}
`,
  );
}
