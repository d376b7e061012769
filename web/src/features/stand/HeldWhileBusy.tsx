import { memo, type ReactNode } from 'react';

interface HeldWhileBusyProps {
  busy: boolean;
  children: ReactNode;
}

/** What is out of sight while a take runs is not drawn anew then: it would cost the first beats a third of their time. */
export const HeldWhileBusy = memo(
  function HeldWhileBusy({ children }: HeldWhileBusyProps) {
    return children;
  },
  (_before, { busy }) => busy,
);
