import { cueOrder, trialResult, trialValue, type Sitting, type TrialResult } from '@inner-hum/core/trial';
import { useLiveQuery } from 'dexie-react-hooks';
import {
  listTrials,
  readSettings,
  roundsAt,
  trialAddress,
  type RoundTakes,
  type SettingsRecord,
  type TrialRecord,
} from '../../storage/index.ts';

export interface PlayedTrial {
  trial: TrialRecord;
  result: TrialResult;
  sittings: number;
  /** Pairs that were played, measured or not. */
  played: number;
}

export interface Trials {
  settings: SettingsRecord;
  trials: PlayedTrial[];
}

/** One sitting: of a phrase that was played again the last take counts. */
function sittingOf({ round, takes }: RoundTakes, { cues, measure }: TrialRecord): Sitting {
  const order = cueOrder(round.exercise, cues);
  return {
    order,
    values: order.flatMap((_, phrase) => {
      const take = takes.findLast((each) => each.phrase === phrase);
      return take?.context && take.analysis ? [trialValue(take.context, take.analysis, measure)] : [];
    }),
  };
}

/** A trial with what its sittings show. */
function playedTrial(trial: TrialRecord, rounds: readonly RoundTakes[]): PlayedTrial {
  const sittings = rounds.map((round) => sittingOf(round, trial)).filter(({ values }) => values.length > 0);
  const result = trialResult(sittings, trial.pairs);
  return { trial, result, sittings: sittings.length, played: result.pairs.length + result.unmeasured };
}

/** Every trial with its result; null while it is read. */
export function useTrials(): Trials | null {
  return (
    useLiveQuery(async () => {
      const trials = await listTrials();
      const rounds = await Promise.all(trials.map(({ id }) => roundsAt(trialAddress(id))));
      return {
        settings: await readSettings(),
        trials: trials.map((trial, i) => playedTrial(trial, rounds[i])),
      };
    }, []) ?? null
  );
}
