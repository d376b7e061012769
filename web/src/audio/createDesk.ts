import type { Desk, DeskTrouble } from './desk.ts';
import { createQuickDesk } from './quickDesk.ts';
import { createRealDesk } from './realDesk.ts';

/** The desk of the page: the real one, and the quick one while the simulated player plays quickly. `chosenMicrophone`: its id; null: the default. */
export function createDesk(
  onTrouble: (trouble: DeskTrouble | null) => void,
  chosenMicrophone: () => Promise<string | null>,
): Desk {
  const real = createRealDesk(onTrouble, chosenMicrophone);
  const quick = createQuickDesk();
  let current: Desk = real;
  return {
    now: () => current.now(),
    after: (seconds, work) => current.after(seconds, work),
    open(input, sink) {
      if (input === 'quick') {
        real.close();
        current = quick;
      } else if (current === quick) {
        current = real;
        for (const { seconds, work } of quick.close()) real.after(seconds, work);
      }
      return current.open(input, sink);
    },
    perform: (performance) => current.perform(performance),
    stopPerforming: () => current.stopPerforming(),
    hurry: (isHurried) => current.hurry(isHurried),
    outputLatencySeconds: () => current.outputLatencySeconds(),
    output: () => current.output(),
    resume: () => current.resume(),
  };
}
