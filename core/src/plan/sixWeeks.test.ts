import { expect, it } from 'vitest';
import { STEPS_OF_PATH, type Experience, type PathId, type PathPlace } from '../exercise/index.ts';
import { hornById, writtenMidi } from '../horn/index.ts';
import { NO_FIGURES, type PractisedNote } from '../practice/index.ts';
import { createRandom } from '../signal/index.ts';
import { usualRequest } from '../testing/usualRequest.ts';
import { GATE_EVIDENCE, gateOf, gateStates } from './gates.ts';
import { pathProgress } from './paths.ts';
import { shownBy } from './evidence.ts';
import type { SheetItem } from './sheetItems.ts';
import type { SheetLine } from './sheetLine.ts';
import { todaySheet } from './todaySheet.ts';
import { newTo } from './whatIsKnown.ts';

// Players of three levels for six weeks, six days a week, fifteen minutes a day. What they can do is a chance for every skill
// and zone, which grows by practice and fades without it; hard things begin lower.

const DAY_MS = 24 * 3600_000;
const horn = hornById('tenor');

interface Level {
  name: string;
  experience: Experience;
  path: PathId;
  /** Chance of an easy thing at the start; what is harder begins lower, never under a twentieth. */
  start: number;
  /** What one line of practice adds, as a share of what is missing. */
  gain: number;
}
const LEVELS: readonly Level[] = [
  { name: 'first year', experience: 'firstYear', path: 'firstTone', start: 0.55, gain: 0.11 },
  { name: 'some years', experience: 'someYears', path: 'lowRegister', start: 0.75, gain: 0.11 },
  { name: 'advanced', experience: 'advanced', path: 'towardHigh', start: 0.88, gain: 0.11 },
  // Nothing comes of it: the path says what is missing.
  { name: 'stuck', experience: 'firstYear', path: 'firstTone', start: 0.3, gain: 0 },
];
const FADES_A_DAY = 0.005;

const harder = { low: 0.12, middle: 0, high: 0.08, palm: 0.25, altissimo: 0.5 } as const;
const skillName = ({ family, zone }: Pick<SheetItem, 'family' | 'zone'>) => `${family}/${zone}`;

/** What a fingered note below makes of an overtone is left out of the model: it is heard at the third partial. */
const partialOf = ({ choices }: SheetItem) =>
  typeof choices.partial === 'number' ? [0, 0, 12, 19, 24, 28, 31][choices.partial] : 0;

function sixWeeks({ experience, path, start, gain }: Level, plans: boolean, seed: number) {
  const random = createRandom(seed);
  const skills = new Map<string, number>();
  const chance = (item: SheetItem) => {
    const name = skillName(item);
    const known = skills.get(name);
    if (known !== undefined) return known;
    const begins = Math.max(
      0.05,
      start - harder[item.zone] - (item.isHeavy ? 0.1 : 0) - 0.15 * random.uniform(),
    );
    skills.set(name, begins);
    return begins;
  };
  const history: PractisedNote[] = [];
  let place: PathPlace = { step: 0, since: 0 };
  const reached: number[] = [];
  /** Seconds of lines a week, and those of them on what fails more often than not. */
  const weeks: { all: number; failing: number }[] = [];
  let early = 0;
  let most = 0;
  let first: SheetLine[] = [];
  for (let day = 0; day < 42; day++) {
    if (day % 7 === 6) continue;
    const now = day * DAY_MS + DAY_MS / 2;
    const dayStart = day * DAY_MS;
    const sheet = todaySheet(
      usualRequest({
        horn,
        minutes: 15,
        aim: plans ? path : 'zones',
        path: place,
        experience,
        history,
        now,
        dayStart,
        dayNumber: day,
      }),
    );
    if (first.length === 0) first = sheet;
    const shut = new Set(
      gateStates(history, experience, [])
        .filter(({ isOpen }) => !isOpen)
        .map(({ gate }) => gate),
    );
    const week = (weeks[Math.floor(day / 7)] ??= { all: 0, failing: 0 });
    const lines = plans ? sheet : first;
    const isNew = newTo(history, dayStart, experience);
    const news = new Set<string>();
    for (const { item, seconds, reason } of lines) {
      if (!item) continue;
      const gate = gateOf(item);
      if (gate && shut.has(gate) && (gate === 'altissimo' || gate === 'subtone')) early++;
      if (isNew(item.family) && reason.kind !== 'path' && reason.kind !== 'opening') news.add(item.family);
      const p = chance(item);
      week.all += seconds;
      if (p < 0.5) week.failing += seconds;
      const fingered =
        item.midi ?? writtenMidi({ low: 60, middle: 68, high: 79, palm: 87, altissimo: 91 }[item.zone]);
      for (let i = 0; i < 4; i++)
        history.push({
          family: item.family,
          fingeredMidi: fingered,
          writtenMidi: writtenMidi(fingered + partialOf(item)),
          day: String(day),
          at: now + 1000 * i,
          seconds: 3,
          asWritten: random.uniform() < p,
          figures: NO_FIGURES,
        });
      skills.set(skillName(item), Math.min(0.97, p + gain * (1 - p)));
    }
    most = Math.max(most, news.size);
    for (const [name, p] of skills) skills.set(name, p - FADES_A_DAY * p);
    const progress = pathProgress(path, place, history);
    if (progress.isThrough) {
      reached.push(day);
      place = { step: place.step + 1, since: now + DAY_MS / 4 };
    }
  }
  const values = [...skills.values()];
  return {
    early,
    most,
    weeks,
    reached,
    place,
    last: pathProgress(path, place, history),
    history,
    mean: values.reduce((sum, p) => sum + p, 0) / values.length,
    worst: Math.min(...values),
    count: values.length,
  };
}

it('leads players of three levels through six weeks, and prints them', () => {
  const share = ({ all, failing }: { all: number; failing: number }) => failing / all;
  for (const level of LEVELS) {
    const planned = sixWeeks(level, true, 11);
    const fixed = sixWeeks(level, false, 11);
    const end = planned.last.isAtEnd
      ? 'at its end'
      : `on step ${planned.place.step + 1} of ${STEPS_OF_PATH}: ${planned.last.shown.right} of the last ${planned.last.shown.of} went well, ${planned.last.wanted.right} of ${planned.last.wanted.of} are wanted`;
    console.info(
      `${level.name}, ${level.path}: steps done on days ${planned.reached.map((day) => day + 1).join(', ')}; ${end}; ` +
        `minutes on what fails by week ${planned.weeks.map((week) => `${Math.round(100 * share(week))} %`).join(', ')} ` +
        `(the sheet of the first day every day: ${fixed.weeks.map((week) => `${Math.round(100 * share(week))} %`).join(', ')}); ` +
        `skill ${planned.mean.toFixed(2)} over ${planned.count} things (${fixed.mean.toFixed(2)} over ${fixed.count})`,
    );
    // No subtone and no altissimo before what they are built on.
    expect(planned.early, level.name).toBe(0);
    expect(planned.most, level.name).toBeLessThanOrEqual(2);
    // The end, or a sentence with its figures on what is missing.
    expect(
      planned.last.isAtEnd ||
        planned.last.shown.right < planned.last.wanted.right ||
        planned.last.daysPractised < planned.last.leastDays,
      level.name,
    ).toBe(true);
    if (level.gain > 0) expect(planned.reached.length, level.name).toBeGreaterThanOrEqual(3);
    else expect(planned.last.isAtEnd).toBe(false);
    // More of the time goes to what fails.
    const failing = (player: typeof planned) => player.weeks.reduce((sum, week) => sum + share(week), 0);
    if (level.gain > 0) expect(failing(planned), level.name).toBeGreaterThan(failing(fixed));
    // More is met.
    expect(planned.count, level.name).toBeGreaterThan(fixed.count);
  }
  expect(shownBy([], GATE_EVIDENCE.altissimo).isShown).toBe(false);
});
