// What a player's visit shares between rooms: the one input, the live sound, the worker that listens, what is wrong
// and how it is set up. Rooms play through it; it draws nothing but its troubles and knows no room.
export { createKeeper, LOW_BYTES, tellRoomLeft, type Keeper } from './keeper.ts';
export { createSessionController } from './sessionController.ts';
export type { LiveSound, SessionController } from './sessionTypes.ts';
export { SessionProvider, useSession } from './SessionProvider.tsx';
export * from './sessionSlice.ts';
export { useSetup, type SessionSetup } from './setup.ts';
export {
  finishLine,
  isPlayable,
  lineAddress,
  lineAfter,
  lineOutcome,
  useToday,
  withLine,
  type BadLine,
  type Today,
} from './todaySheet.ts';
export { useStrainToday, type StrainToday } from './strainToday.ts';
export { saveTake } from './saveTake.ts';
export { saveExercises } from './saveExercises.ts';
export { Troubles } from './Troubles.tsx';
export { readSwell, swellSearch } from './swellRequest.ts';
export { drillAddress, playersHorn, readDrill, roomOf, shelfAddress } from './drillRequest.ts';
export { pulledIn } from './pulledIn.ts';
