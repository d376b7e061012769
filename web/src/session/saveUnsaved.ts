import { packTake } from '@inner-hum/core/formats';
import type { WholeTake } from '../storage/index.ts';
import { downloadFile } from '../ui/index.ts';
import { takeDocument } from '../workers/index.ts';

/** Hands every unsaved take over as a file and takes it off the list. */
export async function saveUnsaved(unsaved: WholeTake[]): Promise<void> {
  for (let take = unsaved[0]; take; take = unsaved[0]) {
    const { record, columns, samples } = take;
    const name = `inner-hum-take-${record.id.slice(0, 8)}`;
    const sound = { sampleRateHz: record.sampleRateHz, samples };
    downloadFile(
      `${name}.zip`,
      await packTake(name, takeDocument(record, columns), sound),
      'application/zip',
    );
    unsaved.shift();
  }
}
