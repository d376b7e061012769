import { configureStore } from '@reduxjs/toolkit';
import { standSlice } from '../features/stand/standSlice.ts';

export const store = configureStore({ reducer: { stand: standSlice.reducer } });
