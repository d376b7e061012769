import { whyOf, type Why } from '@inner-hum/core/signal';
import { readScore, type ReadScore } from '@inner-hum/core/scores';

/** A score from a file, or what is wrong with it. */
export type OpenedScore = { kind: 'read'; score: ReadScore } | { kind: 'refused'; why: Why };

export async function openScore(file: Blob): Promise<OpenedScore> {
  try {
    return { kind: 'read', score: readScore(new Uint8Array(await file.arrayBuffer())) };
  } catch (error) {
    return { kind: 'refused', why: whyOf(error) };
  }
}
