import { hornById } from '../horn/index.ts';
import type { SheetRequest } from '../plan/index.ts';

/** A sheet of ten minutes for an alto that nothing is known of, on the first of all days. */
export const usualRequest = (change: Partial<SheetRequest> = {}): SheetRequest => ({
  horn: hornById('alto'),
  minutes: 10,
  aim: 'zones',
  family: 'pairedSwells',
  routine: [],
  history: [],
  now: 0,
  dayStart: 0,
  dayNumber: 0,
  highSeconds: null,
  loudSeconds: null,
  kept: [],
  notToday: [],
  focus: [],
  experience: null,
  openGates: [],
  path: null,
  wishes: [],
  ...change,
});
