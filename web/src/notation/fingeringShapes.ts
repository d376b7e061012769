import type { KeyId } from '@inner-hum/core/horn';

/** One key of the diagram: a round pearl for the six main fingers, a bar or a leaf for the others; in a box of 64 by 160. */
export type KeyShape =
  | { kind: 'pearl'; x: number; y: number; r: number }
  | { kind: 'bar'; x: number; y: number; width: number; height: number }
  | { kind: 'leaf'; x: number; y: number; turn: number };

export const DIAGRAM_WIDTH = 64;
export const DIAGRAM_HEIGHT = 160;

/** The player's own view: left hand above, right hand below, thumb and side keys to the left, little fingers to the right. */
export const KEY_SHAPES: Record<KeyId, KeyShape> = {
  oct: { kind: 'bar', x: 4, y: 26, width: 8, height: 20 },
  thumbA: { kind: 'bar', x: 4, y: 52, width: 8, height: 12 },
  frontF: { kind: 'pearl', x: 30, y: 10, r: 4.5 },
  L1: { kind: 'pearl', x: 30, y: 27, r: 8 },
  bis: { kind: 'pearl', x: 43, y: 37, r: 4 },
  L2: { kind: 'pearl', x: 30, y: 47, r: 8 },
  L3: { kind: 'pearl', x: 30, y: 67, r: 8 },
  palmD: { kind: 'leaf', x: 54, y: 10, turn: 20 },
  palmEb: { kind: 'leaf', x: 57, y: 23, turn: 20 },
  palmF: { kind: 'leaf', x: 54, y: 36, turn: 20 },
  'G#': { kind: 'bar', x: 44, y: 58, width: 17, height: 6 },
  'lowC#': { kind: 'bar', x: 44, y: 66, width: 8, height: 8 },
  lowB: { kind: 'bar', x: 53, y: 66, width: 8, height: 8 },
  lowBb: { kind: 'bar', x: 44, y: 76, width: 17, height: 6 },
  R1: { kind: 'pearl', x: 30, y: 97, r: 8 },
  R2: { kind: 'pearl', x: 30, y: 117, r: 8 },
  R3: { kind: 'pearl', x: 30, y: 137, r: 8 },
  sideE: { kind: 'bar', x: 5, y: 80, width: 9, height: 9 },
  sideC: { kind: 'bar', x: 5, y: 92, width: 9, height: 9 },
  sideBb: { kind: 'bar', x: 5, y: 104, width: 9, height: 9 },
  'altF#': { kind: 'bar', x: 42, y: 123, width: 8, height: 7 },
  'highF#': { kind: 'bar', x: 5, y: 118, width: 9, height: 9 },
  highG: { kind: 'bar', x: 5, y: 130, width: 9, height: 9 },
  Eb: { kind: 'bar', x: 44, y: 136, width: 17, height: 7 },
  lowC: { kind: 'bar', x: 44, y: 146, width: 17, height: 7 },
};

/** Always drawn, pressed or not: what one counts from. */
export const MAIN_KEYS: readonly KeyId[] = ['L1', 'L2', 'L3', 'R1', 'R2', 'R3'];
