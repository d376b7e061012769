import { skillOf, type FamilyId, type PathId, type PathPlace } from '../exercise/index.ts';
import { zoneOfNote, type PractisedNote, type Zone } from '../practice/index.ts';
import { shownBy, type Evidence, type Shown } from './evidence.ts';
import { GATE_EVIDENCE } from './gates.ts';
import { lineTemplate, type LineTemplate } from './lineTemplate.ts';

/** A step: what is played, and what must go well before the next. */
export interface PathStep {
  lines: readonly LineTemplate[];
  evidence: Evidence;
}

const ofFamily =
  (families: readonly FamilyId[], zones: readonly Zone[] | null = null) =>
  ({ family, fingeredMidi }: PractisedNote) =>
    families.some((id) => id === family) && (zones?.includes(zoneOfNote(fingeredMidi)) ?? true);

const step = (lines: readonly LineTemplate[], evidence: Evidence): PathStep => ({ lines, evidence });
const asked = (right: number, of: number, isAbout: Evidence['isAbout']): Evidence => ({ isAbout, right, of });

const hold = (notes: readonly number[], beats: number, tries = 2) =>
  lineTemplate('longHold', false, notes, (note) => ({ note, beats, tries }));
const swell = (notes: readonly number[]) =>
  lineTemplate('swell', false, notes, (note) => ({ note, beats: 8 }));
const hits = (partial: number) =>
  lineTemplate('overtoneHits', true, [58, 59], (note) => ({ note, partial, tries: 6 }));

/** Air at the bottom of the horn, then the note out of it. */
const lowAir = lineTemplate('airThenNote', false, [58, 59, 60, 61, 62], (note) => ({ note, tries: 3 }));

const isPartial =
  (...halfSteps: readonly number[]) =>
  ({ writtenMidi, fingeredMidi }: PractisedNote) =>
    fingeredMidi <= 62 && halfSteps.includes(writtenMidi - fingeredMidi);

/** The steps of every path: what one asks for is built on what the one before has shown. */
export const PATHS: Record<PathId, readonly PathStep[]> = {
  firstTone: [
    // A note that stands: the middle ones that speak at once.
    step(
      [hold([71], 8, 3), hold([69], 8, 3), hold([67], 8, 3)],
      asked(6, 8, ofFamily(['longHold'], ['middle'])),
    ),
    // It begins out of the air.
    step(
      [
        lineTemplate('airThenNote', false, [62, 64, 65, 67], (note) => ({ note, tries: 4 })),
        hold([65, 67, 69], 12),
      ],
      asked(8, 12, ofFamily(['airThenNote'])),
    ),
    // It grows and fades.
    step([swell([67, 71]), swell([65, 69])], asked(4, 6, ofFamily(['swell'], ['middle']))),
    // Down.
    step(
      [
        hold([60, 62], 8),
        hold([61], 12),
        lineTemplate('octaveRestart', true, [60, 61, 62], (note) => ({ note, to: note, tempoBpm: 72 })),
      ],
      asked(6, 8, ofFamily(['longHold'], ['low'])),
    ),
    // Over the break.
    step(
      [lineTemplate('breakDrill', true, null, () => ({ tempoBpm: 80 })), hold([74, 76, 79], 8)],
      asked(10, 16, ofFamily(['breakDrill'])),
    ),
    // All of it in one line.
    step(
      [
        lineTemplate('fullScales', true, null, (_, day) => ({
          key: ['C', 'F', 'G'][day % 3],
          tempoBpm: 72,
        })),
        hold([79, 81], 8),
        hold([60, 62], 8),
      ],
      asked(20, 30, ofFamily(['fullScales'])),
    ),
  ],
  lowRegister: [
    step([hold([60, 61, 62], 12, 3), lowAir], asked(6, 8, ofFamily(['longHold'], ['low']))),
    // Speaks softly: what subtone is built on.
    step([lowAir, hold([58, 59], 8)], GATE_EVIDENCE.subtone),
    // From the octave above, without a push.
    step(
      [
        lineTemplate('octaveRestart', true, [58, 59, 60, 61], (note) => ({ note, to: note, tempoBpm: 72 })),
        hold([58, 59, 60], 12),
      ],
      asked(10, 14, ofFamily(['octaveRestart'])),
    ),
    step(
      [
        lineTemplate('returnToBottom', false, [58, 59, 60], (note) => ({ note, climb: 3, tempoBpm: 80 })),
        hold([58, 59], 16),
      ],
      asked(14, 20, ofFamily(['returnToBottom'])),
    ),
    // Down and softer.
    step(
      [
        lineTemplate('quietDescent', true, null, () => ({ tempoBpm: 100 })),
        lineTemplate('lowTwoWays', true, null, () => ({ tries: 1 })),
      ],
      asked(5, 8, ofFamily(['quietDescent'])),
    ),
    step(
      [
        lineTemplate('fullToSubtone', false, [58, 60, 62], (note) => ({ note, to: note })),
        lineTemplate('subtoneLine', false, null, () => ({ path: 'down', tempoBpm: 80 })),
      ],
      asked(10, 16, ({ family }) => skillOf(family) === 'subtone'),
    ),
  ],
  towardHigh: [
    // The top of the ordinary horn, held without biting.
    step([hold([79, 81, 83], 12, 3), swell([76, 79])], asked(6, 8, ofFamily(['longHold'], ['high']))),
    // The first overtone.
    step(
      [hits(2), lineTemplate('overtoneEar', false, [58, 59, 60], (note) => ({ note, partial: 2, tries: 2 }))],
      asked(7, 10, isPartial(12)),
    ),
    step(
      [hits(3), lineTemplate('overtoneClimb', true, [58, 59], (note) => ({ note, partial: 3 }))],
      asked(6, 10, isPartial(19)),
    ),
    // The short tubes answer too, and the palm keys are easy.
    step(
      [lineTemplate('fifths', true, [74, 77, 80], (note) => ({ note, to: note + 3 })), hold([86, 87], 8)],
      asked(8, 12, ofFamily(['fifths'])),
    ),
    step(
      [hits(4), lineTemplate('ladderHolds', true, [58, 59], (note) => ({ note, partial: 4, tries: 1 }))],
      GATE_EVIDENCE.altissimo,
    ),
    step(
      [lineTemplate('highTries', true, [90, 91, 92], (note) => ({ note, tries: 6 })), hits(4)],
      asked(6, 12, ofFamily(['highTries'])),
    ),
  ],
};

/** Practised on so many days a step is through at the earliest, which makes it a week: what went well once is to go well tomorrow. */
const LEAST_DAYS = 5;

/** A step as it stands: what it asks for, what was shown since it began, on how many days it was practised. */
export interface PathProgress {
  path: PathId;
  step: number;
  isAtEnd: boolean;
  shown: Shown;
  wanted: { right: number; of: number };
  daysPractised: number;
  leastDays: number;
  /** The next step may begin. */
  isThrough: boolean;
  /** So many in a row went as the step before asked for; null: it was left by the player's wish, or this is the first. */
  passed: { right: number; of: number } | null;
}

/** How far the step has come on which a player stands. */
export function pathProgress(
  path: PathId,
  { step: place, since }: PathPlace,
  history: readonly PractisedNote[],
): PathProgress {
  const steps = PATHS[path];
  const isAtEnd = place >= steps.length;
  const now = Math.min(place, steps.length - 1);
  const { evidence, lines } = steps[now];
  const families = new Set<string>(lines.map(({ family }) => family));
  const lately = history.filter(({ at }) => at >= since);
  const before = place > 0 ? steps[place - 1].evidence : null;
  const earlier = history.filter(({ at }) => at < since);
  const shown = shownBy(lately, evidence);
  const days = new Set(
    lately.flatMap(({ family, day }) => (family !== null && families.has(family) ? [day] : [])),
  );
  return {
    path,
    step: now,
    isAtEnd,
    shown,
    wanted: { right: evidence.right, of: evidence.of },
    daysPractised: days.size,
    leastDays: LEAST_DAYS,
    isThrough: !isAtEnd && shown.isShown && days.size >= LEAST_DAYS,
    passed: before && shownBy(earlier, before).isShown ? { right: before.right, of: before.of } : null,
  };
}
