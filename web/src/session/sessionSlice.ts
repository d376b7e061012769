import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { TroubleCode } from './troubleCode.ts';
import type { VisitPhase } from './visitState.ts';

/** Where a round is. A single swell is a round of one without an id. */
export interface RoundState {
  id: string | null;
  /** The phrase that is shown: ready, played, or just ended. */
  index: number;
  count: number;
  /** Time of the audio clock at which the rest is over and the next phrase begins; null while there is no rest. */
  restUntil: number | null;
  paused: boolean;
  over: boolean;
}

/** Of a visit, what rooms show. */
export interface SessionView {
  phase: VisitPhase;
  /** The take just ended, whose verdict is shown. */
  takeId: string | null;
  round: RoundState;
}

export interface SessionState extends SessionView {
  troubles: TroubleCode[];
  /** What the last key press kept or could not keep. */
  keptTakeId: string | null;
  /** A newer version of the app runs in another tab, and has taken the database over. */
  outdated: boolean;
}

/** The part of the store that the Stand's rooms read. */
export interface SessionStore {
  session: SessionState;
}

const NO_ROUND: RoundState = {
  id: null,
  index: 0,
  count: 0,
  restUntil: null,
  paused: false,
  over: false,
};

const initialState: SessionState = {
  phase: 'off',
  troubles: [],
  takeId: null,
  keptTakeId: null,
  round: NO_ROUND,
  outdated: false,
};

export const sessionSlice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    visitShown(state, { payload }: PayloadAction<SessionView>) {
      Object.assign(state, payload);
    },
    outdated(state) {
      state.outdated = true;
    },
    minuteKept(state, { payload }: PayloadAction<string | null>) {
      state.keptTakeId = payload;
    },
    problemRaised(state, { payload }: PayloadAction<TroubleCode>) {
      if (!state.troubles.includes(payload)) state.troubles.push(payload);
    },
    problemsCleared(state, { payload }: PayloadAction<TroubleCode[]>) {
      state.troubles = state.troubles.filter((code) => !payload.includes(code));
    },
  },
});

export const { visitShown, minuteKept, outdated, problemRaised, problemsCleared } = sessionSlice.actions;
