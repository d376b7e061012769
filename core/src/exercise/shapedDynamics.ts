import type { DynamicMark } from './dynamics.ts';
import type { DynamicPoint } from './exercise.ts';
import type { SwellShape } from './swellShape.ts';

export interface ShapeRequest {
  shape: SwellShape;
  beats: number;
  soft?: DynamicMark;
  loud?: DynamicMark;
}

/** A shape of loudness over so many beats; a steady one at `loud`, mf where nothing is asked for. */
export function shapedDynamics({ shape, beats, soft = 'pp', loud }: ShapeRequest): DynamicPoint[] {
  const top = loud ?? 'ff';
  const ends = (from: DynamicMark, to: DynamicMark) => [
    { beat: 0, mark: from },
    { beat: beats, mark: to },
  ];
  switch (shape) {
    case 'growFade':
      return [
        { beat: 0, mark: soft },
        { beat: beats / 2, mark: top },
        { beat: beats, mark: soft },
      ];
    case 'fade':
      return ends(top, soft);
    case 'grow':
      return ends(soft, top);
    case 'steady':
      return ends(loud ?? 'mf', loud ?? 'mf');
  }
}
