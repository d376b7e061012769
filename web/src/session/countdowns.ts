import type { Desk } from '../audio/index.ts';

const EVERY_SECONDS = 0.25;

export interface Countdowns {
  isAnyRunning(): boolean;
  /** Counts so many seconds of the desk's clock down: `onLeft` gets the whole seconds that are left, 0 last. The answer ends it early. */
  start(seconds: number, onLeft: (leftSeconds: number) => void): () => void;
}

/** What rooms count down to before they do something by themselves, on the desk's clock; nobody needs to see that time pass. */
export function createCountdowns(desk: Desk, onChange: () => void): Countdowns {
  const running = new Set<symbol>();
  return {
    isAnyRunning: () => running.size > 0,
    start(seconds, onLeft) {
      const id = Symbol();
      let left = seconds;
      let takeBack = () => {};
      function end() {
        takeBack();
        if (running.delete(id)) onChange();
      }
      function next() {
        takeBack = desk.after(Math.min(EVERY_SECONDS, left), () => {
          left = Math.max(0, left - EVERY_SECONDS);
          if (left > 0) next();
          else end();
          onLeft(Math.ceil(left));
        });
      }
      running.add(id);
      onChange();
      next();
      return end;
    },
  };
}
