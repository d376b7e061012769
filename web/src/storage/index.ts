// The only place that touches Dexie: schema, migrations, and named functions to read and write.
export { openStorage, database, type StorageKind } from './database.ts';
export { openDatabase } from './openDatabase.ts';
export { isQuotaError } from './quota.ts';
export { ownAddress } from './ownAddress.ts';
export { loadTakeKeys } from './keysOnWrite.ts';
export type {
  CheckKind,
  Gear,
  HornCheckRecord,
  MouthpieceRecord,
  ReedRecord,
  ReedRemark,
} from './gearRecords.ts';
export type {
  AimRecord,
  TaskRecord,
  CalibrationRecord,
  DayNoteRecord,
  FolderRecord,
  HighFingeringRecord,
  OwnExercise,
  PerformanceRecord,
  PracticeDayRecord,
  RoundRecord,
  QuarantineRecord,
  SheetRecord,
  SoundRecord,
  TakeRecord,
  TendencyDayRecord,
  TrialRecord,
  WholeTake,
} from './records.ts';
export { CHECK_KINDS, REED_PLAYS } from './gearRecords.ts';
export {
  DEFAULT_SETTINGS,
  type DroneSettings,
  type SettingsRecord,
  type StandKeys,
} from './settingsRecord.ts';
export * from './journal.ts';
export { loadSamples, packTakeSound, samplesOf, takesInParts } from './sounds.ts';
export {
  EVERYTHING,
  collectRows,
  collectTake,
  collectTakes,
  collectUnplaced,
  isWhole,
  type Choice,
  type ChosenTake,
  type CollectedTake,
} from './collectForExport.ts';
export { restoreDay, restoreRows, removeOthers, type RestoreCount, type RestoreMode } from './restore.ts';
export * from './folder.ts';
export * from './room.ts';
export {
  DATABASE_VERSION,
  keyOfRow,
  OWN_TABLES,
  SMALL_TABLES,
  upgradeRow,
  type OwnTable,
  type SmallTable,
} from './tables.ts';
export { groupedBy } from './groupedBy.ts';
export { forgetQuarantined, isQuarantined, keepQuarantined, listQuarantine } from './quarantine.ts';
export { loadLegacyParser } from './upgrades.ts';
export * from './takes.ts';
export * from './settings.ts';
export * from './rounds.ts';
export * from './ownExercises.ts';
export * from './findTakes.ts';
export { recentTones } from './recentTones.ts';
export { shelfKey } from './shelfKey.ts';
export { takeKeys } from './takeKeys.ts';
export * from './gear.ts';
export * from './mouthpieces.ts';
export * from './sheets.ts';
export * from './highFingerings.ts';
export { listSetups, listTendencyDays } from './tendencyDays.ts';
export { listPractice, playedDayBeside, practisedSpan } from './practiceDays.ts';
export { dayOf, playedAt, wallClock } from './moment.ts';
export * from './reeds.ts';
export * from './hornChecks.ts';
export * from './dayNotes.ts';
export { putMany, type ManyRows } from './bulk.ts';
export * from './trials.ts';
export * from './aims.ts';
export * from './tasks.ts';
export { pastOf } from './pastOf.ts';
export { csvStyle } from './csvStyle.ts';
export { eraseDatabase } from './eraseDatabase.ts';
