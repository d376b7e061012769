import { createContext, use, type ReactNode } from 'react';
import type { StandController } from './standTypes.ts';

const StandContext = createContext<StandController | null>(null);

export function StandProvider({
  controller,
  children,
}: {
  controller: StandController;
  children: ReactNode;
}) {
  return <StandContext value={controller}>{children}</StandContext>;
}

export function useStand(): StandController {
  const controller = use(StandContext);
  if (!controller) throw new Error('StandProvider is missing.');
  return controller;
}
