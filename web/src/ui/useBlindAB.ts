import { useState } from 'react';

/** One of two sounds, unnamed: which it is, what became of the last answer, and how many were right. */
export interface Unnamed<Which> {
  /** Null while nothing is asked. */
  hidden: Which | null;
  told: { right: boolean; was: Which } | null;
  score: { right: number; asked: number };
  /** Picks one by chance, to be played. */
  ask(): Which;
  answer(said: Which): void;
}

/** Asks which of two sounds it was, and keeps the score. */
export function useBlindAB<Which>(first: Which, second: Which): Unnamed<Which> {
  const [hidden, setHidden] = useState<Which | null>(null);
  const [told, setTold] = useState<Unnamed<Which>['told']>(null);
  const [score, setScore] = useState({ right: 0, asked: 0 });
  return {
    hidden,
    told,
    score,
    ask() {
      const which = Math.random() < 0.5 ? first : second;
      setHidden(() => which);
      setTold(null);
      return which;
    },
    answer(said) {
      if (hidden === null) return;
      const right = said === hidden;
      setTold({ right, was: hidden });
      setScore({ right: score.right + (right ? 1 : 0), asked: score.asked + 1 });
      setHidden(null);
    },
  };
}
