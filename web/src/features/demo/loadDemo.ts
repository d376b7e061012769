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

/** Fills an empty demo database with twelve weeks of an invented player. Does nothing twice. Throws where the file is not there. */
export async function loadDemo(): Promise<void> {
  if ((await readSettings()).visited || (await countTakes()) > 0) return;
  const response = await fetch(PACK);
  if (!response.ok) throw new Error(`${PACK} answered ${response.status}.`);
  const pack = unpackDemo(new Uint8Array(await response.arrayBuffer()));
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
