import { useEffect, useState } from 'react';
import { useSession } from './SessionProvider.tsx';

/** Whole seconds of the desk's clock that are left of so many while it runs, from when it began to; null before. */
export function useCountdown(seconds: number, runs: boolean): number | null {
  const { countDown } = useSession();
  const [left, setLeft] = useState<number | null>(null);
  useEffect(() => (runs ? countDown(seconds, setLeft) : undefined), [countDown, seconds, runs]);
  return left;
}
