import type { Desk, Performance } from './desk.ts';

/** So much sound goes out before an answer is waited for, in samples: a message costs more than hearing what is in it. */
const BLOCK = 2048;
const HURRIED_BLOCK = 4096;

interface Job {
  atSeconds: number;
  work(): void;
  isOff: boolean;
}

export interface QuickDesk extends Desk {
  /** Stops its clock; what was still to be done, with the seconds until then. */
  close(): { seconds: number; work(): void }[];
}

/**
 * A desk without devices: the simulated player's samples go to the worker as fast as it hears them, and its clock is moved
 * on by them alone. While nothing is hurried it keeps the pace of real time. Nothing is heard in the room.
 */
export function createQuickDesk(sampleRateHz = 48000): QuickDesk {
  let frame = 0;
  let sink: MessagePort | null = null;
  let isHurried = false;
  let playing: (Performance & { startFrame: number }) | null = null;
  let jobs: Job[] = [];
  const now = () => frame / sampleRateHz;

  function nextBlock(length: number): Float32Array<ArrayBuffer> {
    const block = new Float32Array(length);
    if (!playing) return block;
    const { samples, startFrame, onOver } = playing;
    for (let n = 0; n < length; n++) {
      const at = frame + n - startFrame;
      if (at >= 0) block[n] = (onOver ? samples[at] : samples[at % samples.length]) ?? 0;
    }
    return block;
  }

  function doWhatIsDue() {
    const due = jobs.filter(({ atSeconds }) => atSeconds <= now());
    if (due.length === 0) return;
    jobs = jobs.filter((job) => !due.includes(job));
    for (const job of due.toSorted((a, b) => a.atSeconds - b.atSeconds)) if (!job.isOff) job.work();
  }

  function endWhatIsOver() {
    if (!playing?.onOver || frame < playing.startFrame + playing.samples.length) return;
    const { onOver } = playing;
    playing = null;
    onOver();
  }

  /** Pushes sound into one sink until another takes its place. */
  async function run(port: MessagePort) {
    let unanswered = 0;
    let allAnswered = () => {};
    port.onmessage = () => {
      if (--unanswered === 0) allAnswered();
    };
    while (sink === port) {
      const samples = nextBlock(isHurried ? HURRIED_BLOCK : BLOCK);
      const { length } = samples;
      const lasts = new Promise((resolve) => setTimeout(resolve, (1000 * length) / sampleRateHz));
      const answered = new Promise<void>((resolve) => (allAnswered = resolve));
      unanswered++;
      port.postMessage({ startFrame: frame, samples, answer: true }, [samples.buffer]);
      frame += length;
      // A worker that does not answer is waited for no longer than it would take in real time: so it is found out. What it
      // then answers late, all at once, must not move the clock on: it is answers to this block that are waited for.
      await (isHurried ? Promise.race([answered, lasts]) : lasts);
      endWhatIsOver();
      doWhatIsDue();
    }
    port.close();
  }

  return {
    now,
    after(seconds, work) {
      const job = { atSeconds: now() + seconds, work, isOff: false };
      jobs.push(job);
      return () => {
        job.isOff = true;
      };
    },
    open(_input, port) {
      playing = null;
      sink = port;
      void run(port);
      return Promise.resolve({ sampleRateHz, keptProcessing: [], deviceRateHz: null, isOther: false });
    },
    perform(performance) {
      const startFrame = Math.max(frame, Math.round(performance.atSeconds * sampleRateHz));
      playing = { ...performance, startFrame };
    },
    stopPerforming() {
      playing = null;
    },
    hurry(next) {
      isHurried = next;
    },
    outputLatencySeconds: () => 0,
    output: () => null,
    resume: () => Promise.resolve(true),
    close() {
      sink = null;
      playing = null;
      const left = jobs.filter(({ isOff }) => !isOff);
      jobs = [];
      return left.map((job) => ({
        seconds: Math.max(0, job.atSeconds - now()),
        // Whoever takes it back may do so still.
        work: () => {
          if (!job.isOff) job.work();
        },
      }));
    },
  };
}
