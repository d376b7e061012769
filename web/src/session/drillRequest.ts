import { type Family, type FamilyRequest } from '@inner-hum/core/exercise';
import { hornById, writtenMidi, type HornId } from '@inner-hum/core/horn';
import * as yup from 'yup';

const note = yup.number().integer().min(40).max(110);
const tempo = yup.number().integer().min(20).max(300);
const start = yup.string().oneOf(['playToStart', 'countIn']);

/** Reads what was chosen of a family from the address, field by field; what is missing or wrong becomes the usual. */
export function readDrill(search: URLSearchParams, family: Family, hornId: HornId): FamilyRequest {
  const usual = family.usual(hornById(hornId));
  const [lowest, highest] = family.bases(hornById(hornId));
  const read = <Value>(name: string, schema: yup.Schema, fallback: Value) => {
    const raw = search.get(name);
    return raw !== null && schema.isValidSync(raw) ? (schema.cast(raw) as Value) : fallback;
  };
  const inside = (midi: number) => writtenMidi(Math.max(lowest, Math.min(highest, midi)));
  return {
    hornId,
    note: inside(read('note', note, usual.note)),
    to: inside(read('to', note, usual.to)),
    tempoBpm: read('tempoBpm', tempo, usual.tempoBpm),
    start: read('start', start, usual.start),
  };
}

/** Where a drill is played: every state of the Stand has an address. */
export function drillAddress(
  family: Family,
  { note: from, to, tempoBpm, start: mode }: FamilyRequest,
): string {
  const search = new URLSearchParams({
    ...(family.moves !== 'nothing' && { note: String(from) }),
    ...(family.moves === 'range' && { to: String(to) }),
    tempoBpm: String(tempoBpm),
    start: mode,
  });
  return `/stand/drill/${family.id}?${search.toString()}`;
}
