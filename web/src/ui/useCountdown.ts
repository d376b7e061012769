import { useEffect, useState } from 'react';

const EVERY_MS = 250;

/** Whole seconds that are left of so many while it runs, from when it began to; null before. */
export function useCountdown(seconds: number, runs: boolean): number | null {
  const [left, setLeft] = useState<number | null>(null);
  useEffect(() => {
    if (!runs) return undefined;
    const until = Date.now() + 1000 * seconds;
    const timer = setInterval(() => setLeft(Math.max(0, Math.ceil((until - Date.now()) / 1000))), EVERY_MS);
    return () => clearInterval(timer);
  }, [seconds, runs]);
  return left;
}
