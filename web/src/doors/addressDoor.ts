import { buildSwell, FAMILIES, familyById, MOST_ITEMS, scoreOf } from '@inner-hum/core/exercise';
import { hornById, HORN_IDS } from '@inner-hum/core/horn';
import { CoreError } from '@inner-hum/core/signal';
import { drillAddress, readDrill, readSwell, swellSearch } from '../addresses/index.ts';
import { readMapLook } from '../features/map/mapAddress.ts';
import { readShelfFilter, shelfSearch } from '../features/shelf/shelfFilter.ts';
import { filterSearch, readFilter } from '../features/takes/takeFilter.ts';
import { ownAddress } from '../storage/index.ts';
import { typedDay } from '../words/index.ts';
import { bytesOf, textOf, type Door } from './door.ts';
import { mutatedBytes } from './mutateBytes.ts';

/** The longest line that a browser sends. */
const LONGEST = 8000;

const ADDRESSES = [
  ...FAMILIES.map(
    ({ id }) => `/stand/drill/${id}?note=67&tries=3&beats=4&tempoBpm=60&start=countIn&partial=3`,
  ),
  ...FAMILIES.map(({ id }) => `/shelf/family/${id}?from=58&to=70&mark=mf&keys=oct.L2.L3&order=up&times=2`),
  '/stand/swell?note=67&shape=growFade&beats=8&tempoBpm=60&start=playToStart',
  '/takes?note=67&horn=alto&day=2026-03-14&words=soft',
  '/map?range=weeks&over=usual&note=67',
  '/shelf?zone=low&purpose=attack&minutes=5&shown=own&words=low',
].map(bytesOf);

/** What is read of an address is what its own address says. Returns that address. */
function keptAddress<Asked>(
  search: URLSearchParams,
  read: (search: URLSearchParams) => Asked,
  write: (asked: Asked) => string,
): string {
  const address = write(read(search));
  const again = write(read(new URLSearchParams(address.slice(address.indexOf('?') + 1))));
  if (address !== again) throw new Error(`${address} became ${again}`);
  return address;
}

function openDrill(id: string, search: URLSearchParams): boolean {
  const family = familyById(id);
  if (!family) return false;
  const horn = hornById(HORN_IDS[id.length % HORN_IDS.length]);
  const read = (asked: URLSearchParams) => readDrill(asked, family, horn);
  const address = keptAddress(search, read, (choices) => drillAddress(family, horn, choices));
  if (ownAddress(address) !== address) throw new Error(`${address} is not taken for its own`);
  try {
    const score = scoreOf(family.build(horn, read(search)));
    if (score.length > 100 * MOST_ITEMS) throw new Error(`${score.length} items`);
  } catch (error) {
    // Said in the room: the range is too small for it.
    if (!(error instanceof CoreError) || error.code !== 'family-no-room') throw error;
  }
  return true;
}

function openAddress(text: string): boolean {
  const own = ownAddress(text);
  if (own !== null && new URL(own, 'http://localhost').origin !== 'http://localhost')
    throw new Error(`${own} leads away`);
  let url: URL;
  try {
    url = new URL(text, 'http://localhost');
  } catch {
    return false;
  }
  const { searchParams: search, pathname } = url;
  const readAsked = (asked: URLSearchParams) => readSwell(asked, 'alto');
  keptAddress(search, readAsked, swellSearch);
  scoreOf(buildSwell(readAsked(search)));
  keptAddress(search, readShelfFilter, shelfSearch);
  keptAddress(search, readFilter, filterSearch);
  readMapLook(search);
  typedDay(search.get('day') ?? '');
  return openDrill(pathname.split('/')[3] ?? '', search);
}

export const ADDRESS_DOOR: Door = {
  name: 'address',
  make: (random) => Promise.resolve(mutatedBytes(ADDRESSES, random).slice(0, LONGEST)),
  open: (bytes) => Promise.resolve(openAddress(textOf(bytes))),
};
