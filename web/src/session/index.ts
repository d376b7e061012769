// A visit to the Stand: its machine (visitMachine), what carries it out on a desk and a worker (sessionController), what
// rooms show of it, and how it is set up. It draws nothing but its troubles and knows no room.
export { createSessionController } from './sessionController.ts';
export type { LiveSound, SessionController } from './sessionTypes.ts';
export { SessionProvider, useSession, useSessionDoor } from './SessionProvider.tsx';
export { createSessionDoor, type SessionDoor } from './sessionDoor.ts';
export * from './sessionSlice.ts';
export type { VisitPhase } from './visitState.ts';
export { useCountdown } from './useCountdown.ts';
export { useSetup, type SessionSetup } from './setup.ts';
export { MicrophonePick } from './MicrophonePick.tsx';
export { Troubles } from './Troubles.tsx';
