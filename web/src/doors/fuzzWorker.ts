import 'fake-indexeddb/auto';
import { parentPort, workerData } from 'node:worker_threads';
import { caseAt, DOORS } from './doors.ts';

/** A stretch of knocking at one door. */
interface FuzzOrder {
  door: number;
  seed: number;
  from: number;
  milliseconds: number;
  /** What case it is at, for whoever watches that it goes on. */
  at: SharedArrayBuffer;
}

interface FuzzBroken {
  n: number;
  why: string;
}

type FuzzTold =
  | { kind: 'doors'; names: string[] }
  | { kind: 'done'; inputs: number; taken: number; slowestMs: number; broken: FuzzBroken[] };

const MOST_TOLD = 20;

async function knock({ door, seed, from, milliseconds, at }: FuzzOrder): Promise<FuzzTold> {
  const place = new Int32Array(at);
  const until = performance.now() + milliseconds;
  const broken: FuzzBroken[] = [];
  let [n, taken, slowestMs] = [from, 0, 0];
  for (; performance.now() < until; n++) {
    place[0] = n;
    const bytes = await caseAt(door, seed, n);
    const begin = performance.now();
    try {
      if (await DOORS[door].open(bytes)) taken++;
    } catch (error) {
      if (broken.length < MOST_TOLD) broken.push({ n, why: (error as Error).message.slice(0, 200) });
    }
    slowestMs = Math.max(slowestMs, performance.now() - begin);
  }
  return { kind: 'done', inputs: n - from, taken, slowestMs, broken };
}

const order = workerData as FuzzOrder | null;
const told: FuzzTold = order ? await knock(order) : { kind: 'doors', names: DOORS.map(({ name }) => name) };
parentPort?.postMessage(told);
