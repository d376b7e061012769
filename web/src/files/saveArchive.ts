import { dayOf } from '../storage/index.ts';
import { downloadFile } from '../ui/index.ts';

/** Hands an archive of everything over, under the day's name. */
export const saveArchive = (archive: Blob) =>
  downloadFile(`inner-hum ${dayOf(Date.now())}.zip`, archive, 'application/zip');
