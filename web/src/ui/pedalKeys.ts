import { createContext } from 'react';

/** Whether page keys belong to a pedal here, and not to the field that has the focus. */
export const PedalKeys = createContext(false);
