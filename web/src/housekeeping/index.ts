// What is put in order in quiet moments: sound packed, rows looked at, copies made, room watched.
export { isClockSetBack } from './clockSetBack.ts';
export { tellWhatIsNotStored } from './notStored.ts';
export {
  createStorageMaintenance,
  LOW_BYTES,
  tellRoomLeft,
  type StorageMaintenance,
} from './storageMaintenance.ts';
