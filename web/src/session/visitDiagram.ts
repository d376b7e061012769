import type { Rule } from './visitMachine.ts';
import { VISIT_PHASES, type VisitPhase } from './visitState.ts';

const phases = (list: readonly VisitPhase[]) =>
  list.length === VISIT_PHASES.length ? 'any' : list.join(', ');

/** The rules of the machine as ARCHITECTURE.md prints them: from, what is said, to. */
export function diagram(rules: readonly Rule[]): string {
  const rows = rules.map(({ from, on, to }) => {
    const isSame = to.length === VISIT_PHASES.length || (from.length === 1 && to.join() === from.join());
    return [phases(from), on, isSame ? 'the same' : phases(to)];
  });
  const widths = [0, 1].map((column) => Math.max(...rows.map((row) => row[column].length)));
  return rows
    .map(([from, on, to]) => `${from.padEnd(widths[0])}  -- ${on.padEnd(widths[1])} -->  ${to}`)
    .join('\n');
}
