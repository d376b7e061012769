import {
  completeChoices,
  type Choices,
  type Family,
  type Home,
  type Option,
  type OptionName,
} from '@inner-hum/core/exercise';
import { hornById, hornWithin, hornWithTop, type Horn } from '@inner-hum/core/horn';
import type { SettingsRecord } from '../storage/index.ts';

const horns = new Map<string, Horn>();

/** The player's horn with the range the player works in: the same object while these are the same. */
export function playersHorn({
  hornId,
  ranges,
  topKeys,
}: Pick<SettingsRecord, 'hornId' | 'ranges' | 'topKeys'>): Horn {
  const topKey = topKeys[hornId] ?? hornById(hornId).topKey;
  const range = ranges[hornId] ?? null;
  const key = `${hornId} ${topKey} ${range?.lowest} ${range?.highest}`;
  const horn = horns.get(key) ?? hornWithin(hornWithTop(hornById(hornId), topKey), range);
  horns.set(key, horn);
  return horn;
}

/** Options whose value is a word. */
const WORDS: ReadonlySet<Option['kind']> = new Set([
  'choice',
  'mark',
  'keys',
  'notes',
  'pick',
  'softs',
  'order',
]);
const isWord = (option: Option | undefined) => option !== undefined && WORDS.has(option.kind);

/** Reads what was chosen of a family from the address, option by option; what is missing or wrong becomes the usual. */
export function readDrill(search: URLSearchParams, family: Family, horn: Horn): Choices {
  const options = family.options(horn) ?? {};
  const asked = [...search].map(([name, value]) => [
    name,
    isWord(options[name as OptionName]) ? value : Number(value),
  ]);
  return completeChoices(options, Object.fromEntries(asked) as Choices);
}

/** What was chosen, as part of an address; what is as usual stays out of it. */
function drillSearch(family: Family, horn: Horn, choices: Choices): string {
  const options = family.options(horn) ?? {};
  const own = Object.entries(completeChoices(options, choices)).filter(
    ([name, value]) => value !== options[name as OptionName]?.usual,
  );
  const search = new URLSearchParams(own.map(([name, value]) => [name, String(value)]));
  return own.length > 0 ? `?${search.toString()}` : '';
}

/** A drill with what was chosen of it, as an address asks for it (`of`). */
export const askedDrill = (family: Family, horn: Horn, choices: Choices): string =>
  `${family.id}${drillSearch(family, horn, choices)}`;

/** Where a drill is played: every state of the Stand has an address. */
export function drillAddress(family: Family, horn: Horn, choices: Choices): string {
  return `/stand/drill/${askedDrill(family, horn, choices)}`;
}

/** Its place on the Shelf, with the same choices. */
export function shelfAddress(family: Family, horn: Horn, choices: Choices): string {
  return `/shelf/family/${askedDrill(family, horn, choices)}`;
}

const HOMES: Record<Home, (at: string) => string> = {
  hearing: () => '/case/hearing',
  shelf: () => '/shelf',
  subtone: (at) => `/ladder/subtone?${at}`,
  map: () => '/map',
  mouthpiece: () => '/map/mouthpiece',
};

/** The room a drill belongs to, where its results are seen; where keys are chosen that is High notes. */
export function roomOf(family: Family, horn: Horn, { note, keys }: Choices): string {
  const at = new URLSearchParams({
    ...(note !== undefined && { note: String(note) }),
    ...(keys && { keys: String(keys) }),
  }).toString();
  return family.options(horn)?.keys ? `/high?${at}` : HOMES[family.home](at);
}
