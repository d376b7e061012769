import { doJobs } from '../jobs.ts';
import { measuredOn, writePage } from '../report.ts';
import { ORIGINS, type Origin, type TakesJob, type TakesRow } from './measureTakes.ts';

const percent = (count: number, of: number) => `${count} of ${of} (${((100 * count) / of).toFixed(0)} %)`;
const figure = (value: number | null, digits: number) => (value === null ? '-' : value.toFixed(digits));

function tableOf({ name, clean, faulty }: Origin, rows: readonly TakesRow[]): string {
  const lines = rows.map(
    (row) =>
      `| ${row.name} | ${percent(row.blamed.length, clean.length)} | ${percent(row.named, faulty.length)} | ` +
      `${figure(row.cents, 2)} | ${figure(row.db, 1)} | ${figure(row.beginMs, 0)} | ${figure(row.endMs, 0)} |`,
  );
  const said = rows
    .filter(({ blamed }) => blamed.length > 0 && blamed.length <= 6)
    .map((row) => `- ${row.name}\n${row.blamed.map((each) => `  - ${each.slice(0, 160)}`).join('\n')}`);
  return `## ${name}

| | blamed without a fault | faults named | pitch, cents | level, dB | begin, ms | end, ms |
| --- | --- | --- | --- | --- | --- | --- |
${lines.join('\n')}

What was said of takes without a fault:

${said.join('\n')}
`;
}

/**
 * Takes without a fault and takes with one, of three origins, through rooms, beside neighbours and through laptops: writes docs/takes.md. With a word
 * only the origins in whose name it stands, printed.
 */
export async function benchTakes(word?: string): Promise<void> {
  const jobs = ORIGINS.flatMap(({ name, disturbances }, origin): TakesJob[] =>
    word === undefined || name.includes(word)
      ? disturbances.map((_, disturbance) => ({ origin, disturbance }))
      : [],
  );
  const rows = await doJobs(
    new URL('./measureTakes.ts', import.meta.url),
    jobs,
    (row: TakesRow, { origin }) => {
      const { name, clean, faulty } = ORIGINS[origin];
      console.log(
        `${name}, ${row.name}: ${row.blamed.length} of ${clean.length} blamed, ${row.named} of ${faulty.length} named`,
      );
    },
  );
  const tables = ORIGINS.flatMap((origin, i) => {
    const own = rows.filter((_, at) => jobs[at].origin === i);
    return own.length > 0 ? [tableOf(origin, own)] : [];
  });
  if (word !== undefined) {
    console.log(tables.join('\n'));
    return;
  }
  writePage(
    'takes.md',
    `# Takes in rooms, beside neighbours, through laptops

\`npm run bench -- takes\` measures this and writes this page. ${measuredOn(null)}

Drills played exactly as they are written, and with one fault of the written-against-played table; then what a room, a neighbour or a computer
does to them (\`core/src/testing/disturbances.ts\`). The sound is of three origins: tones by addition of sines on all horns, recorded notes of an
alto bent to what is meant, and notes of the reed and bore of Debian's \`stk\` (its clock held by \`faketime\`; left out where they are not installed). The last two have one colour
and no breath, and play what needs neither. The less steady hand wanders by 1.5 cents and is flat by 4 cents each 10 dB. No room was calibrated.

*Blamed*: something was said of a take without a fault; wanted: at most 2 % dry, 5 % in rooms and 25 dB under the player.
*Named*: the very finding that the table asks for was there on every item it asks for; wanted: 95 % in rooms.
*Pitch, level, begin, end*: the middle distance of a note's figures from what was meant, over the takes without a fault.

${tables.join('\n')}`,
  );
}
