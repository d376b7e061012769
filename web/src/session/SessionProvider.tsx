import { createContext, use, type ReactNode } from 'react';
import type { SessionDoor } from './sessionDoor.ts';
import type { SessionController } from './sessionTypes.ts';

const SessionContext = createContext<SessionDoor | null>(null);

export function SessionProvider({ door, children }: { door: SessionDoor; children: ReactNode }) {
  return <SessionContext value={door}>{children}</SessionContext>;
}

/** The way to the visit, for who may never need it. */
export function useSessionDoor(): SessionDoor {
  const door = use(SessionContext);
  if (!door) throw new Error('SessionProvider is missing.');
  return door;
}

/** The visit of this page. Rooms have it when they are shown; what else asks for it waits. */
export function useSession(): SessionController {
  // Always through the promise: a component that waited for it and then did without it would lose count of its hooks.
  return use(useSessionDoor().load());
}
