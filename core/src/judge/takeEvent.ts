/** What happened, on the take's clock, in order of time. */
export type TakeEvent =
  | { type: 'toneOnset'; timeSeconds: number }
  | { type: 'jump' | 'crack'; timeSeconds: number; lengthSeconds: number; from: number; to: number }
  | { type: 'gap'; timeSeconds: number; lengthSeconds: number }
  | { type: 'stair'; timeSeconds: number; lengthSeconds: number; stepDb: number }
  | { type: 'end'; timeSeconds: number };
