import Dexie from 'dexie';

/** Erases a whole database of this origin: it is gone with everything in it. */
export const eraseDatabase = (name: string): Promise<void> => Dexie.delete(name);
