import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';

/** Set in a process that `doJobs` began: others may have a channel too, which nothing here may hold open. */
const ANSWERS = 'ANSWERS_JOBS';

/** What a module does with a job that `doJobs` sends it; elsewhere nothing comes. */
export function answerJobs<J, R>(work: (job: J) => Promise<R>): void {
  if (!process.env[ANSWERS]) return;
  process.on('message', (job: J) => void work(job).then((result) => process.send?.(result)));
}

/**
 * Does jobs in processes of their own, as many beside each other as the machine has processors; each runs the module, which answers by
 * `answerJobs`. Tells of each as it is done; returns the results in the order of the jobs. Throws when a process ends before its job.
 */
export async function doJobs<J, R>(
  module: URL,
  jobs: readonly J[],
  onDone: (result: R, job: J) => void,
): Promise<R[]> {
  const results: R[] = [];
  let next = 0;
  const worker = () =>
    new Promise<void>((resolve, reject) => {
      const child = fork(module, { env: { ...process.env, [ANSWERS]: '1' } });
      let isOver = false;
      let at = -1;
      const give = () => {
        at = next++;
        isOver = at >= jobs.length;
        if (isOver) child.disconnect();
        else child.send(jobs[at] as object);
      };
      child.on('message', (result) => {
        results[at] = result as R;
        onDone(result as R, jobs[at]);
        give();
      });
      child.on('exit', (code) => {
        if (isOver && code === 0) resolve();
        else reject(new Error(`A process ended with ${code} before its job was done.`));
      });
      give();
    });
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
  return results;
}
