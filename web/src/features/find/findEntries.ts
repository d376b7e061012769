import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { rankOfWords } from '../../notation/index.ts';
import { WORDS } from '../../ui/index.ts';
import { entryTexts } from '../../listing/index.ts';
import type { ShelfEntry } from '../../listing/index.ts';

/** What may be found: a room or a part of one, an exercise, a setting, a word of the glossary. */
export const FOUND_KINDS = ['room', 'exercise', 'setting', 'word'] as const;
export type FoundKind = (typeof FOUND_KINDS)[number];

export interface FindEntry {
  kind: FoundKind;
  name: string;
  /** What it is found by beside its name, first what says most. */
  texts: readonly string[];
  to: string;
}

/** Every room and part of a room with its address; `find.also` has other words for each. */
export const PLACES = {
  today: '/today',
  stand: '/stand',
  takes: '/takes',
  map: '/map',
  ladder: '/ladder',
  high: '/high',
  shelf: '/shelf',
  logbook: '/logbook',
  case: '/case',
  plan: '/today/why',
  give: '/task/new',
  hearing: '/case/hearing',
  mouthpiece: '/map/mouthpiece',
  findings: '/map/findings',
  routes: '/ladder/routes',
  match: '/ladder/match',
  subtone: '/ladder/subtone',
  trends: '/logbook/trends',
  aims: '/logbook/aims',
  trials: '/logbook/trials',
  ear: '/logbook/ear',
  keeping: '/case/keeping',
  calibrate: '/case/calibrate',
  reading: '/reading',
  words: '/words',
} as const;
type Place = keyof typeof PLACES;

/** Parts of the Case; the address leads to the part. */
export const SETTINGS = {
  horn: 'horn',
  a4: 'horn',
  range: 'horn',
  mouthpieceName: 'horn',
  reeds: 'reeds',
  checks: 'checks',
  input: 'input',
  microphone: 'input',
  tolerance: 'tolerance',
  books: 'books',
  language: 'display',
  naming: 'display',
  pitchShown: 'display',
  csv: 'display',
  theme: 'display',
  keys: 'keys',
  caps: 'care',
} as const;
type Setting = keyof typeof SETTINGS;

const placeName = (place: Place, t: TFunction): string => {
  switch (place) {
    case 'plan':
      return t('plan.title');
    case 'give':
      return t('task.give');
    case 'hearing':
      return t('hearing.title');
    case 'mouthpiece':
      return t('advise.title');
    case 'findings':
      return t('suspect.title');
    case 'routes':
      return t('routes.title');
    case 'match':
      return t('match.title');
    case 'subtone':
      return t('tone.bench');
    case 'trends':
      return t('logbook.pages.trends');
    case 'aims':
      return t('logbook.pages.aims');
    case 'trials':
      return t('logbook.pages.trials');
    case 'ear':
      return t('logbook.pages.ear');
    case 'keeping':
      return t('keeping.title');
    case 'calibrate':
      return t('case.calibrate');
    case 'reading':
      return t('case.reading');
    case 'words':
      return t('help.title');
    default:
      return t(`rooms.${place}`);
  }
};

const SETTING_NAMES = {
  horn: 'case.horn',
  a4: 'case.a4',
  range: 'find.range',
  mouthpieceName: 'mouthpiece.worn',
  reeds: 'reed.title',
  checks: 'check.title',
  input: 'case.input',
  microphone: 'mic.which',
  tolerance: 'case.tolerance',
  books: 'book.title',
  language: 'case.language',
  naming: 'case.naming',
  pitchShown: 'case.pitchShown',
  csv: 'case.csv',
  theme: 'case.theme',
  keys: 'case.keys',
  caps: 'find.caps',
} as const satisfies Record<Setting, string>;

/** Everything that can be found; `exercises` are those of the Shelf. */
export function findEntries(exercises: readonly ShelfEntry[], naming: NoteNaming, t: TFunction): FindEntry[] {
  return [
    ...(Object.keys(PLACES) as Place[]).map((place): FindEntry => ({
      kind: 'room',
      name: placeName(place, t),
      texts: [t(`find.also.${place}`)],
      to: PLACES[place],
    })),
    ...exercises.map((entry): FindEntry => {
      const [name, ...texts] = entryTexts(entry, naming, t);
      return { kind: 'exercise', name, texts, to: entry.openAddress };
    }),
    ...(Object.keys(SETTINGS) as Setting[]).map((setting): FindEntry => ({
      kind: 'setting',
      name: t(SETTING_NAMES[setting]),
      texts: [t(`find.setting.${setting}`)],
      to: `/case#${SETTINGS[setting]}`,
    })),
    ...WORDS.map((word): FindEntry => ({
      kind: 'word',
      name: t(`word.${word}.name`),
      texts: [t(`word.${word}.text`)],
      to: `/words#${word}`,
    })),
  ];
}

/** Of long words so much must be there when the whole is not. */
const LEAST_LETTERS = 4;
/** Words without their last letters, step by step. */
const shorter = (words: string, less: number) =>
  words
    .split(/\s+/)
    .map((word) => word.slice(0, Math.max(LEAST_LETTERS, word.length - less)))
    .join(' ');
const MOST_LESS = 6;

export interface Found {
  entries: FindEntry[];
  /** Only words that begin alike were found. */
  isNear: boolean;
}

/** What answers some words, the best first; where nothing does, what begins alike. */
export function find(all: readonly FindEntry[], words: string): Found {
  const answering = (asked: string) =>
    all
      .flatMap((entry) => {
        const rank = rankOfWords([entry.name, ...entry.texts], asked);
        return rank === null ? [] : [{ entry, rank }];
      })
      .toSorted((a, b) => a.rank - b.rank)
      .map(({ entry }) => entry);
  if (words.trim() === '') return { entries: all.filter(({ kind }) => kind === 'room'), isNear: false };
  const entries = answering(words);
  if (entries.length > 0) return { entries, isNear: false };
  for (let less = 1; less <= MOST_LESS; less++) {
    const near = answering(shorter(words, less));
    if (near.length > 0) return { entries: near, isNear: true };
  }
  return { entries: [], isNear: false };
}
