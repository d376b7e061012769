export const STEPS = ['room', 'soft', 'loud', 'latency'] as const;
export type CalibrationFault = 'noSound' | 'sameLoudness' | 'noClicks';

export interface CalibrationFindings {
  roomFloorDb: number | null;
  softDb: number | null;
  loudDb: number | null;
  roundTripSeconds: number | null;
}

export const EMPTY_FINDINGS: CalibrationFindings = {
  roomFloorDb: null,
  softDb: null,
  loudDb: null,
  roundTripSeconds: null,
};
