import { CoreError, whyOf, type Random, type Why } from '@inner-hum/core/signal';

export type Bytes = Uint8Array<ArrayBuffer>;

/** A place where something from outside comes in. For tests and for `npm run fuzz` alone. */
export interface Door {
  name: string;
  /** Bytes as they may come, made of sound ones. */
  make(random: Random): Promise<Bytes>;
  /** Whether they are taken in. Throws where they are neither refused in words nor something that every reader can go on with. */
  open(bytes: Bytes): Promise<boolean>;
}

/** Of a refusal, in letters. */
const LONGEST = 300;

/** A refusal is short and says figures that are some. */
export function expectSaid({ text, reason }: Why): void {
  const values = Object.values(reason?.values ?? {});
  if (text.length > LONGEST || values.some((value) => String(value).length > LONGEST))
    throw new Error(`a refusal of ${text.length} letters: ${text.slice(0, 80)}`);
  if (values.some((value) => typeof value === 'number' && !Number.isFinite(value)))
    throw new Error(`a refusal with a figure that is none: ${text.slice(0, LONGEST)}`);
}

/** Whether something is read by a reader that throws; what it throws is ours. */
export async function isRead(read: () => unknown): Promise<boolean> {
  try {
    await read();
    return true;
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    expectSaid(whyOf(error));
    return false;
  }
}

export const bytesOf = (text: string): Bytes => new TextEncoder().encode(text);
export const textOf = (bytes: Bytes) => new TextDecoder().decode(bytes);
export const pick = <T>(list: readonly T[], random: Random): T =>
  list[Math.floor(random.uniform() * list.length)];
