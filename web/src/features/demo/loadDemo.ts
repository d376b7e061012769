import { unpackDemo } from '@inner-hum/core/formats';
import { writtenMidi } from '@inner-hum/core/horn';
import { subDays } from 'date-fns';
import {
  addOwnExercise,
  changeSettings,
  countTakes,
  decideOn,
  putMany,
  readSettings,
} from '../../storage/index.ts';
import { demoRows } from './demoRows.ts';

const PACK = '/demo/twelve-weeks.zip';

/**
 * Fills an empty demo database with twelve weeks of an invented player. Does nothing twice. Throws where the file is not there. `onShare`: how far it
 * is, 0 to 1; waited for.
 */
export async function loadDemo(onShare: (share: number) => Promise<void>): Promise<void> {
  if ((await readSettings()).visited || (await countTakes()) > 0) return;
  await onShare(0);
  const response = await fetch(PACK);
  if (!response.ok) throw new Error(`${PACK} answered ${response.status}.`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  await onShare(0.1);
  const pack = unpackDemo(bytes);
  await onShare(0.4);
  const today = new Date();
  await putMany(demoRows(pack, today));
  for (const { mouthpieceId, writtenMidi: note, fingering } of pack.settled)
    await decideOn(
      { mouthpieceId, writtenMidi: writtenMidi(note), fingering },
      { preferred: true },
      today.getTime(),
    );
  const own: string[] = [];
  for (const exercise of pack.exercises) own.push(await addOwnExercise(exercise, today.getTime()));
  const kindOf = (id: string) => pack.reeds.find((reed) => reed.id === id)?.kind ?? '';
  await changeSettings({
    visited: true,
    source: 'standIn',
    // The invented player is careful.
    archivedAt: subDays(today, 4).getTime(),
    favourites: [...own.map((id) => `own.${id}`), 'pairedSwells', 'quietDescent'],
    reedIds: Object.fromEntries(pack.reedsOn.map(({ hornId, reedId }) => [hornId, reedId])),
    reedKinds: Object.fromEntries(pack.reedsOn.map(({ hornId, reedId }) => [hornId, kindOf(reedId)])),
  });
}
