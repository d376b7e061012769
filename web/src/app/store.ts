import { configureStore } from '@reduxjs/toolkit';
import { sessionSlice } from '../session/index.ts';

export const store = configureStore({ reducer: { session: sessionSlice.reducer } });
