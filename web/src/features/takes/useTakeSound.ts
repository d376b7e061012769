import { useState } from 'react';
import type { TakeRecord } from '../../storage/index.ts';
import { soundOfTake } from '../../workers/index.ts';

/** Why a take cannot be heard: its sound was let go, or is damaged. */
export type NoSound = 'gone' | 'unreadable';

/** The sound of a take when it is asked for; null, and why, where there is none. */
export function useTakeSound({ id }: Pick<TakeRecord, 'id'>) {
  const [noSound, setNoSound] = useState<NoSound | null>(null);
  async function loadSound(): Promise<Float32Array<ArrayBuffer> | null> {
    try {
      const samples = await soundOfTake(id);
      if (samples.length > 0) return samples;
      setNoSound('gone');
    } catch {
      setNoSound('unreadable');
    }
    return null;
  }
  return { noSound, loadSound };
}
