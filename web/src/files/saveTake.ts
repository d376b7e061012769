import { packTake } from '@inner-hum/core/formats';
import type { WholeTake } from '../storage/index.ts';
import { downloadFile } from '../ui/index.ts';
import { takeDocument } from '../workers/index.ts';

/** Hands a take over as one file: its sound and everything said about it. */
export async function saveTake(name: string, { record, columns, samples }: WholeTake): Promise<void> {
  const sound = { sampleRateHz: record.sampleRateHz, samples };
  const file = await packTake(name, takeDocument(record, columns), sound);
  downloadFile(`${name}.zip`, file, 'application/zip');
}

/** Hands every unsaved take over as a file and takes it off the list. */
export async function saveUnsaved(unsaved: WholeTake[]): Promise<void> {
  for (let take = unsaved[0]; take; take = unsaved[0]) {
    await saveTake(`inner-hum-take-${take.record.id.slice(0, 8)}`, take);
    unsaved.shift();
  }
}
