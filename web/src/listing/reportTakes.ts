import { encodeWav } from '@inner-hum/core/formats';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { ribbonSvg } from '../ribbon/index.ts';
import { readTakeFrames, type TakeRecord } from '../storage/index.ts';
import { soundOfTake } from '../workers/index.ts';
import type { ReportTake } from './reportPage.ts';
import { drawTake } from './takeInk.ts';
import { takeLabel } from './takeTitle.tsx';
import { readHeadline } from './useHeadline.ts';

const WIDTH = 800;
const HEIGHT = 150;
/** Longer reports are told in figures alone. */
export const MOST_REPORTED = 60;

/** `btoa` takes characters, and not too many arguments at once. */
function base64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000)
    text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}

/** Takes as they stand on a report: ribbon, verdict, note, and, where it was chosen, their sound. */
export async function reportTakes(
  takes: readonly TakeRecord[],
  withSound: boolean,
  naming: NoteNaming,
  t: TFunction,
): Promise<ReportTake[]> {
  const told: ReportTake[] = [];
  for (const take of takes.slice(0, MOST_REPORTED)) {
    const columns = await readTakeFrames(take.id);
    const headline = take.analysis ? await readHeadline([take], naming, t) : t('takes.notJudged');
    const drawing = columns && drawTake(take, columns);
    const sound = withSound
      ? await encodeWav({ samples: await soundOfTake(take.id), sampleRateHz: take.sampleRateHz }, 16)
      : null;
    told.push({
      title: takeLabel(take, naming, t),
      lines: [headline, take.playerNote],
      ribbon: drawing && ribbonSvg({ ...drawing, width: WIDTH, height: HEIGHT, label: headline }),
      sound: sound && base64(sound),
    });
  }
  return told;
}
