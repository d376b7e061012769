import {
  extentOf,
  familyById,
  PATH_IDS,
  type Choices,
  type FamilyId,
  type PathId,
} from '../exercise/index.ts';
import { writtenMidi, type Horn, type WrittenMidi } from '../horn/index.ts';
import { zoneOfNote } from '../practice/index.ts';
import { keyOf, buildLines, NOTES_BY_ZONE, type PickNotes, type SheetItem } from './sheetItems.ts';
import type { LineTemplate } from './lineTemplate.ts';
import { PATHS, type PathProgress } from './paths.ts';
import type { PracticeHistory } from './practiceHistory.ts';
import { tallyOf } from './need.ts';

/** How somebody practises: a school of the craft. */
export const AIMS = [
  'zones',
  'range',
  'family',
  'swells',
  'overtones',
  'low',
  'line',
  'own',
  ...PATH_IDS,
] as const;
export type Aim = (typeof AIMS)[number];

/** How much a family matters to an aim, against 1 of any other. */
export const MATTERS: Record<Aim, Partial<Record<FamilyId, number>>> = {
  zones: {},
  range: {},
  family: {},
  swells: { swell: 2, chromaticTones: 1.5, pairedSwells: 2.5, quietDescent: 2 },
  overtones: {
    overtoneHits: 3,
    overtoneEar: 3,
    overtoneClimb: 3,
    fifths: 3,
    tubeLoop: 2,
    ladderHolds: 2,
    alternation: 1.5,
    octaveRestart: 1.5,
  },
  low: {
    octaveRestart: 2.5,
    quietDescent: 2.5,
    returnToBottom: 2.5,
    fullToSubtone: 2,
    lowTwoWays: 2.5,
    subtoneLine: 2,
  },
  line: { fullScales: 3, breakDrill: 2.5, returnToBottom: 1.5 },
  own: {},
  firstTone: {},
  lowRegister: {},
  towardHigh: {},
};

/** The path an aim follows; null where it is a school. */
export const pathOf = (aim: Aim): PathId | null => PATH_IDS.find((id) => id === aim) ?? null;

/** The whole range is gone through in so many days. */
const ROUND_DAYS = 14;
/** Lip and ear rest as part of the sheet. */
export const REST_SECONDS = { high: 40, heavy: 25, light: 10 };
/** A school's own lines have at most this share of a sheet. */
export const MOST_OF_SCHOOL = 0.6;
const MOST_LINES = 12;

/** What a school puts on the sheet before anything else, first what comes first; and how far it has come where it counts. */
export interface SchoolItems {
  items: SheetItem[];
  covered: { done: number; count: number } | null;
}

interface SchoolRequest {
  horn: Horn;
  aim: Aim;
  /** Of the school of one family. */
  family: FamilyId | null;
  seconds: number;
  day: number;
  history: PracticeHistory;
  now: number;
  /** How far the path has come that the aim follows; null: none. */
  progress: PathProgress | null;
  /** Keys of lines that stay, whatever became of them meanwhile. */
  kept: readonly string[];
  pick: PickNotes;
  /** How much slower than usual. */
  tempoShare: number;
}

/** The lines of a school. */
export function schoolItems(request: SchoolRequest): SchoolItems {
  const { progress, horn, day, pick, tempoShare } = request;
  if (progress)
    return {
      items: progress.isAtEnd
        ? []
        : buildLines(PATHS[progress.path][progress.step].lines, horn, day, { pick, tempoShare }),
      covered: null,
    };
  switch (request.aim) {
    case 'range':
      return wholeRange(request);
    case 'family':
      return { items: oneFamily(request), covered: null };
    case 'swells':
      return { items: widening(request), covered: null };
    default:
      return { items: [], covered: null };
  }
}

/** Every note of the horn once in two weeks, upward; those held as written in that time are done. */
function wholeRange({ horn, day, history, now, kept }: SchoolRequest): SchoolItems {
  const notes = Array.from({ length: horn.highest - horn.lowest + 1 }, (_, i) =>
    writtenMidi(horn.lowest + i),
  );
  const isDone = (midi: WrittenMidi) =>
    history
      .ofNote('hold', midi)
      .some(({ at, asWritten }) => asWritten && now - at < ROUND_DAYS * 24 * 3600_000);
  const open = notes.filter((midi) => !isDone(midi));
  const stays = notes.filter((midi) => kept.includes(keyOf('longHold', zoneOfNote(midi), midi)));
  const lines = [...new Set([...stays, ...open])].slice(0, MOST_LINES);
  const templates = lines.map((midi): LineTemplate => ({
    family: 'longHold',
    isHeavy: false,
    notes: [midi],
    choices: (note) => ({ note, beats: 12, tries: 1 }),
  }));
  return {
    items: buildLines(templates, horn, day),
    covered: { done: notes.length - open.length, count: notes.length },
  };
}

/** One family in every zone it has room in. */
function oneFamily({ horn, family: id, day, pick }: SchoolRequest): SheetItem[] {
  const family = id && familyById(id);
  if (!id || !family) return [];
  const note = family.options(horn)?.note;
  const zones = NOTES_BY_ZONE.map((notes) =>
    note && 'least' in note ? notes.filter((midi) => midi >= note.least && midi <= note.most) : [],
  ).filter((notes) => notes.length > 0);
  const templates = (zones.length > 0 ? zones : [null]).map((notes): LineTemplate => ({
    family: id,
    isHeavy: true,
    notes,
    choices: (midi) => (notes ? { note: midi, to: midi } : {}),
  }));
  return buildLines(templates, horn, day, { pick });
}

/** From the widest, all the way down the horn. */
const narrower = Array.from({ length: 35 }, (_, i) => ({ widest: 36 - i, beats: 4 }));

/** Widening swells from the top: long and wide as the time has room for. */
function widening({ horn, seconds, day, history, now }: SchoolRequest): SheetItem[] {
  const family = familyById('wideningDown');
  if (!family?.options(horn)) return [];
  const lately = tallyOf(history.ofFamily('wideningDown', 'high'), 1, now).daysSince ?? Infinity;
  // Not twice a day over all of it.
  const share = lately < 0.3 ? 0.3 : MOST_OF_SCHOOL;
  const all = [...[8, 7, 6, 5].map((beats) => ({ widest: 36, beats })), ...narrower];
  const fitting = all
    .map((choices): Choices => ({ ...choices, tempoBpm: 60 }))
    .find((choices) => extentOf(family.build(horn, choices)).seconds <= share * seconds - REST_SECONDS.heavy);
  if (!fitting) return [];
  const template: LineTemplate = {
    family: 'wideningDown',
    isHeavy: true,
    notes: null,
    choices: () => fitting,
  };
  return buildLines([template], horn, day);
}
