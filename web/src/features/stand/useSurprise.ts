import { columnValue } from '@inner-hum/core/hearing';
import { pitchTarget, type Horn } from '@inner-hum/core/horn';
import { createRandom } from '@inner-hum/core/signal';
import { createSurprise, type SurpriseAnswer } from '@inner-hum/core/tone';
import { useEffect, useState } from 'react';
import { playCue } from '../../audio/index.ts';
import { useSession } from '../../session/index.ts';

const EVERY_MS = 60;
/** A pitch of less is a noise. */
const LEAST_CLARITY = 0.6;

export interface SurpriseState {
  isCalled: boolean;
  /** What came of each call, oldest first. */
  answers: readonly SurpriseAnswer[];
}

const NOTHING: SurpriseState = { isCalled: false, answers: [] };

/** While it is on, free playing is broken into by a call to drop to the horn's lowest note; what came of each call. */
export function useSurprise(
  isOn: boolean,
  { id, lowest }: Pick<Horn, 'id' | 'lowest'>,
  a4Hz: number,
): SurpriseState {
  const { live, desk } = useSession();
  const [state, setState] = useState(NOTHING);
  useEffect(() => {
    if (!isOn) return undefined;
    setState(NOTHING);
    const { tubeHz } = pitchTarget({ writtenMidi: lowest }, id, a4Hz);
    const surprise = createSurprise(createRandom(Date.now()), tubeHz);
    const timer = setInterval(() => {
      const { columns, count } = live.track;
      const last = count - 1;
      const isClear = last >= 0 && columns.clarity[last] > LEAST_CLARITY;
      const told = surprise.hear(desk.now(), isClear ? columnValue(columns.f0Hz, last) : null);
      if (told === null) return;
      if (told === 'called') {
        const output = desk.output();
        if (output) playCue(output);
        setState(({ answers }) => ({ isCalled: true, answers }));
      } else setState(({ answers }) => ({ isCalled: false, answers: [...answers, told] }));
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [isOn, id, lowest, a4Hz, live, desk]);
  return isOn ? state : NOTHING;
}
