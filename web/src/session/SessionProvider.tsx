import { createContext, use, type ReactNode } from 'react';
import type { SessionController } from './sessionTypes.ts';

const SessionContext = createContext<SessionController | null>(null);

export function SessionProvider({
  controller,
  children,
}: {
  controller: SessionController;
  children: ReactNode;
}) {
  return <SessionContext value={controller}>{children}</SessionContext>;
}

export function useSession(): SessionController {
  const controller = use(SessionContext);
  if (!controller) throw new Error('SessionProvider is missing.');
  return controller;
}
