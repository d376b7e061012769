import * as Comlink from 'comlink';
import type { OpenedScore } from './openScore.ts';

/** A score of one exercise is read in a fraction of this; a file that was made to take for ever is not waited for. */
const MOST_SECONDS = 5;

/** Reads a score in a worker of its own, which is ended with it: nothing else waits for a file. */
export async function readScoreFile(file: Blob): Promise<OpenedScore> {
  const worker = new Worker(new URL('./score.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    const { openScore } = Comlink.wrap<{ openScore(file: Blob): OpenedScore }>(worker);
    const tooSlow = new Promise<OpenedScore>((resolve) => {
      timer = setTimeout(
        () =>
          resolve({
            kind: 'refused',
            why: {
              text: `The score was not read within ${MOST_SECONDS} s.`,
              reason: { name: 'tooSlow', values: { seconds: MOST_SECONDS } },
            },
          }),
        1000 * MOST_SECONDS,
      );
    });
    // A worker that runs out of memory never answers: then the time is up.
    return await Promise.race([openScore(file), tooSlow]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
