import type { DemoPack, DemoReed } from '@inner-hum/core/formats';
import type { HornId } from '@inner-hum/core/horn';

/**
 * Twelve weeks of an invented player: an adult who comes back to the alto after years, and adds a tenor in week eight. A leak grows
 * and is repaired, a worn reed is changed, the mouthpiece is moved.
 */
export const DAYS = 84;
const LEAK_FROM = 66;
/** From here on the sheets are asked for the low notes: "everything under D is stuffy". */
export const STUFFY = 57;
export const REPAIRED = 50;
export const NEW_REED = 38;
export const TENOR_FROM = 34;
export const MOVED = 21;
/** How far the mouthpiece is pushed on too far, before and after it was moved, in mm. */
const PUSHED_MM = { before: 3.6, after: 2.2 };
export const PULLED_MM = PUSHED_MM.before - PUSHED_MM.after;

/** From 0 to 1 between two days. */
const ramp = (daysAgo: number, from: number, to: number) =>
  Math.max(0, Math.min(1, (from - daysAgo) / (from - to)));

/** The leak of the alto, 0-1. */
export const leak = (hornId: HornId, daysAgo: number) =>
  hornId === 'alto' && daysAgo > REPAIRED ? ramp(daysAgo, LEAK_FROM, REPAIRED + 4) : 0;

/** How worn the reed is, 0-1. */
export const wear = (hornId: HornId, daysAgo: number) =>
  hornId === 'alto' && daysAgo > NEW_REED ? ramp(daysAgo, DAYS, NEW_REED + 6) : 0;

export const movedOn = (daysAgo: number) => (daysAgo > MOVED ? PUSHED_MM.before : PUSHED_MM.after);

const CANE = 'cane, 2 ½';
const OLD: DemoReed = {
  id: 'demo-reed-1',
  hornId: 'alto',
  kind: CANE,
  name: 'no. 1',
  daysAgo: DAYS,
  retiredDaysAgo: NEW_REED,
  remarks: [
    { daysAgo: 78, how: 'well', text: 'Free and even, low notes come.' },
    { daysAgo: 45, how: 'badly', text: 'Dull on top, the low B needs pushing.' },
  ],
};
const NEW: DemoReed = {
  ...OLD,
  id: 'demo-reed-2',
  name: 'no. 2',
  daysAgo: NEW_REED,
  retiredDaysAgo: null,
  remarks: [{ daysAgo: 30, how: 'well', text: 'Subtone speaks by itself.' }],
};
const SPARE: DemoReed = { ...NEW, id: 'demo-reed-3', name: 'no. 3', daysAgo: 20, remarks: [] };
const TENOR: DemoReed = { ...NEW, id: 'demo-reed-4', hornId: 'tenor', daysAgo: TENOR_FROM, remarks: [] };

/** What is played on, on a day. */
export function gearOn(hornId: HornId, daysAgo: number) {
  const reed = hornId === 'tenor' ? TENOR : daysAgo > NEW_REED ? OLD : daysAgo % 9 === 4 ? SPARE : NEW;
  // The spare came later, and is played in now and then.
  const worn = reed === SPARE && daysAgo > SPARE.daysAgo ? NEW : reed;
  return { mouthpieceId: `${hornId}.first`, reedId: worn.id, reedKind: worn.kind };
}

/** Everything of the scenario that is not played. */
export const STORY: Omit<DemoPack, 'takes' | 'rounds' | 'trials' | 'aims' | 'settled' | 'exercises'> = {
  tasks: [
    {
      id: 'demo-task',
      from: 'Ms. Hollunder',
      note: 'Low C as softly as it speaks, and the way down after it. Listen to how each note begins.',
      daysAgo: 3,
      byInDays: 4,
      items: [
        { family: 'longHold', choices: { note: 60, beats: 12, tries: 2 } },
        { family: 'quietDescent', choices: { tempoBpm: 100 } },
      ],
    },
  ],
  reeds: [OLD, NEW, SPARE, TENOR],
  reedsOn: [
    { hornId: 'alto', reedId: NEW.id },
    { hornId: 'tenor', reedId: TENOR.id },
  ],
  mouthpieces: [
    { id: 'alto.first', hornId: 'alto', name: 'The hard rubber one' },
    { id: 'tenor.first', hornId: 'tenor', name: 'The wide one that came with it' },
  ],
  checks: [
    { hornId: 'alto', daysAgo: DAYS + 210, kind: 'technician', text: 'Set up before I began again.' },
    { hornId: 'alto', daysAgo: 52, kind: 'leakTest', text: 'Light under the G sharp pad.' },
    { hornId: 'alto', daysAgo: REPAIRED, kind: 'repair', text: 'G sharp pad seated anew.' },
    { hornId: 'tenor', daysAgo: TENOR_FROM, kind: 'leakTest', text: 'Tight.' },
  ],
  dayNotes: [
    { daysAgo: 83, text: 'First time in years. Ten minutes were enough.', temperatureC: 21 },
    { daysAgo: 70, text: 'Low B spoke by itself once. Do not push.', temperatureC: null },
    { daysAgo: STUFFY, text: 'Everything under D is stuffy. The horn, or me?', temperatureC: 19 },
    { daysAgo: 49, text: 'After the repair the bell notes are back.', temperatureC: 20 },
    { daysAgo: 38, text: 'New reed. Brighter, and it answers.', temperatureC: null },
    { daysAgo: 33, text: 'The tenor takes twice the air.', temperatureC: 20 },
    { daysAgo: 21, text: 'Pulled the mouthpiece out a little, as the map said.', temperatureC: 21 },
    { daysAgo: 9, text: 'Swells without looking: only the soft end is sharp.', temperatureC: null },
    {
      daysAgo: 1,
      text: 'G sharp has been low since the repair. Ask how far that pad opens.',
      temperatureC: null,
    },
    { daysAgo: 2, text: 'Side B flat key and no ring finger: G6 twice running.', temperatureC: 22 },
  ],
};
