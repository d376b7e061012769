import { disturbances, type Disturb } from '@inner-hum/core/testing';
import { runRow, VERDICT_ROWS, type Ear } from '@inner-hum/core/verdicts';

const d = disturbances;
const threeLevels = (name: string, make: (underDb: number) => Disturb) =>
  [35, 25, 15].map((underDb): [string, Disturb] => [`${name} ${underDb} dB under`, make(underDb)]);

/** What is done to a take on its way to the app. */
export const DISTURBANCES: readonly [name: string, disturb: Disturb][] = [
  ['dry', (samples) => samples.slice()],
  ['small room', d.room(0.35, 4)],
  ['live room', d.room(0.9, 1)],
  ['hall', d.room(1.8, 6)],
  ...threeLevels('hum', (underDb) => d.hum(underDb)),
  ...threeLevels('hiss', (underDb) => d.hiss(underDb)),
  ...threeLevels('drone', (underDb) => d.drone(underDb, 146.83)),
  ...threeLevels('speech', (underDb) => d.speech(underDb)),
  ...threeLevels('radio', (underDb) => d.radio(underDb)),
  ...threeLevels('second horn', (underDb) => d.neighbour(underDb)),
  ['clicks', d.clicks(5)],
  ['automatic gain', d.autoGain()],
  ['noise gate', d.gate()],
  ['echo ducking', d.ducking()],
  ['holes of 20 ms', d.holes()],
];

export function runTakes(names: readonly string[], every: number, offset: number): void {
  const clean = VERDICT_ROWS.filter(
    ({ played, wanted, onlySimulated }) => played === 'as written' && wanted === 'passes' && !onlySimulated,
  );
  const faulty = VERDICT_ROWS.filter(({ wanted, onlySimulated }) => wanted !== 'passes' && !onlySimulated);
  const ear: Ear = 'additive';
  const said: string[] = [];
  for (const [name, disturb] of DISTURBANCES) {
    if (names.length > 0 && !names.some((each) => name.startsWith(each))) continue;
    let [good, count, named, faults] = [0, 0, 0, 0];
    const kinds = new Map<string, number>();
    clean.forEach((row, i) => {
      if (i % every !== offset) return;
      const result = runRow(row, ear, 7, disturb);
      count++;
      if (result.wrong === null) good++;
      else {
        said.push(`${name} | ${row.hornId} ${row.family} ${row.phrase ?? 0} | ${result.said}`);
        for (const kind of new Set(
          result.said.match(/[a-z][A-Za-z]+(?= \()|(?<=: |\+ )[a-z][A-Za-z]+/g) ?? [],
        ))
          kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
      }
    });
    faulty.forEach((row, i) => {
      if (i % (2 * every) !== offset) return;
      const { only: _, never: __, ...rest } = row;
      const result = runRow(rest, ear, 7, disturb);
      faults++;
      if (result.wrong === null) named++;
      else
        said.push(
          `${name} | FAULT ${row.hornId} ${row.family} ${row.phrase ?? 0} ${row.played} | ${result.said} | ${result.wrong}`,
        );
    });
    console.log(
      `${name}: ${count - good} of ${count} blamed; ${named} of ${faults} named; ${[...kinds]
        .toSorted((a, b) => b[1] - a[1])
        .slice(0, 8)
        .map(([kind, n]) => `${kind} ${n}`)
        .join(', ')}`,
    );
  }
  console.log(said.join('\n'));
}
