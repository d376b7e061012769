import type {
  Choice as ArchiveChoice,
  FolderRecord,
  RestoreMode,
  QuarantineRecord,
  SettingsRecord,
} from '../../storage/index.ts';
import type { ArchiveManifest, ArchiveRefusal, RestoreReport } from '../../workers/index.ts';
import type { RoomLeft } from './useRoomLeft.ts';
import type { Busy } from './useStorageWork.ts';

/** Archives that were chosen to be brought back, and what they say they hold. */
export interface Looked {
  archives: { file: File; manifest: ArchiveManifest; cutShort: boolean }[];
}

/** What became of the last thing that was done. */
export type Told =
  | { kind: 'saved'; takes: number; bytes: number; silent: number; damaged: number }
  | { kind: 'refused'; why: ArchiveRefusal; name: string }
  | { kind: 'back'; reports: RestoreReport[] }
  | { kind: 'stopped' }
  | { kind: 'copied'; files: number }
  | { kind: 'copyFailed'; why: string }
  | { kind: 'letGo'; takes: number }
  | { kind: 'failed'; why: string }
  | { kind: 'putBack'; why: string | null };

export interface BackupViewProps {
  /** The browser keeps what is stored. */
  stored: boolean;
  settings: SettingsRecord;
  /** First and last day on which anything was practised. */
  span: { first: string; last: string } | null;
  roomLeft: RoomLeft | null;
  /** Bytes of a minute of sound. */
  perMinute: number | null;
  sinceArchive: number;
  folder: FolderRecord | null;
  canChooseFolder: boolean;
  quarantine: readonly QuarantineRecord[];
  /** The row that was just forgotten, while it can come back. */
  forgotten: QuarantineRecord | null;
  chosen: ArchiveChoice;
  looked: Looked | null;
  answer: Told | null;
  busy: Busy | null;
  letGoBefore: string;
  toLetGo: { takeIds: string[]; seconds: number } | null;
  onAskToKeep(): void;
  onChosen(choice: ArchiveChoice): void;
  onSave(): void;
  onLook(files: File[]): void;
  onBack(mode: RestoreMode): void;
  /** Puts the archive into a book of its own, and turns to that. */
  onOwnBook(): void;
  onForgetLooked(): void;
  onStop(): void;
  onCopy(isNew: boolean): void;
  onForgetFolder(): void;
  onLetGoBefore(day: string): void;
  onLetGo(): void;
  onForgetQuarantined(row: QuarantineRecord): void;
  onKeepQuarantined(): void;
  onPutBack(row: QuarantineRecord): void;
}
