import type { Rung } from '@inner-hum/core/plan';

export type Tuning = 'tempered' | 'pure';

/** What of the Ladder is in the address: which rung is looked at, and what its pitch is measured by. */
export interface LadderLook {
  fingered: number | null;
  partial: number | null;
  tuning: Tuning;
}

export function readLook(search: URLSearchParams): LadderLook {
  const number = (name: string) => {
    const value = Number(search.get(name));
    return Number.isInteger(value) && value > 0 ? value : null;
  };
  return {
    fingered: number('fingered'),
    partial: number('partial'),
    tuning: search.get('tuning') === 'pure' ? 'pure' : 'tempered',
  };
}

export function lookSearch({ fingered, partial, tuning }: LadderLook): string {
  const set = Object.entries({ fingered, partial, tuning: tuning === 'pure' ? tuning : null });
  return new URLSearchParams(
    set.flatMap(([name, value]) => (value === null ? [] : [[name, String(value)]])),
  ).toString();
}

/** The rung of the address, else the one that is proposed, else the first overtone there is. */
export function lookedAt(
  rungs: readonly (readonly Rung[])[],
  { fingered, partial }: Pick<LadderLook, 'fingered' | 'partial'>,
  next: Rung | null,
): Rung {
  const asked = rungs.flat().find((rung) => rung.fingered === fingered && rung.partial === partial);
  return asked ?? next ?? rungs[0][1];
}
