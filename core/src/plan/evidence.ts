import type { PractisedNote } from '../practice/index.ts';

/** What must go well, and how often, before something comes next. */
export interface Evidence {
  isAbout(note: PractisedNote): boolean;
  /** So many as written of so many in a row. */
  right: number;
  of: number;
}

/** How far it is: so many of the last tries, at most `of` of the evidence, went as written. */
export interface Shown {
  right: number;
  of: number;
  /** At some time it was all there. */
  isShown: boolean;
}

/** Whether enough went well at some time: what was shown once stays shown, whatever comes after. */
function wasShown(went: readonly boolean[], { right, of }: Evidence): boolean {
  let count = 0;
  return went.some((isRight, i) => {
    count += Number(isRight) - Number(i >= of && went[i - of]);
    return i >= of - 1 && count >= right;
  });
}

/** How a player's notes stand against what must go well. */
export function shownBy(history: readonly PractisedNote[], evidence: Evidence): Shown {
  const went = history
    .filter((note) => evidence.isAbout(note))
    .toSorted((a, b) => a.at - b.at)
    .map(({ asWritten }) => asWritten);
  const last = went.slice(-evidence.of);
  return { right: last.filter(Boolean).length, of: last.length, isShown: wasShown(went, evidence) };
}
