// What is put in order in quiet moments: sound packed, rows looked at, copies made, room watched.
export { createKeeper, LOW_BYTES, tellRoomLeft, type Keeper } from './keeper.ts';
