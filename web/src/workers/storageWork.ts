import {
  copyToFolder,
  openArchive,
  restore,
  writeArchive,
  type ArchiveManifest,
  type ArchiveRefusal,
  type ArchiveWritten,
  type FolderCopied,
  type RestoreReport,
} from '../archive/index.ts';
import { BlobWriter, ZipWriter } from '../archive/zip.ts';
import {
  loadSamples,
  packTakeSound,
  takesInParts,
  type Choice,
  type OwnTable,
  type RestoreMode,
} from '../storage/index.ts';
import { checkRows, putRowBack, setRowAside } from '../storage/checkRows.ts';
import { keepRecording, type RecordingAnswer, type RecordingRequest } from './keepRecording.ts';
import { hasRoomFor } from './roomProbe.ts';
import { zipOfTakes } from './zipOfTakes.ts';

type Progress = (done: number, of: number) => void;
/** Work that was stopped by the player. */
export interface Stopped {
  kind: 'stopped';
}

/** Long work on what is stored, away from page and listener. One thing at a time; `stop` ends it. */
export interface StorageWorker {
  loadSamples(takeId: string): Promise<Float32Array<ArrayBuffer>>;
  /** Packs the sound of takes that have ended; says how many. */
  packSounds(): Promise<number>;
  /** Whether so many bytes more could be stored; null where that cannot be found out. */
  hasRoomFor(bytes: number): Promise<boolean | null>;
  /** Puts aside rows that no room could read; says how many. */
  checkRows(): Promise<number>;
  /** Puts one row aside that a room could not show; says whether there was one. */
  setRowAside(table: OwnTable, id: string): Promise<boolean>;
  /** Puts a row back that was set aside; says what is wrong with it where no room could read it. */
  putRowBack(id: string): Promise<string | null>;
  writeArchive(
    choice: Choice,
    onProgress: Progress,
  ): Promise<{ kind: 'written'; file: Blob; written: ArchiveWritten } | Stopped>;
  /** What an archive holds. */
  readArchive(file: Blob): Promise<{ manifest: ArchiveManifest; cutShort: boolean } | ArchiveRefusal>;
  restore(
    file: Blob,
    mode: RestoreMode,
    onProgress: Progress,
  ): Promise<{ kind: 'back'; report: RestoreReport } | { kind: 'refused'; why: ArchiveRefusal } | Stopped>;
  copyToFolder(onProgress: Progress): Promise<{ kind: 'copied'; copied: FolderCopied | null } | Stopped>;
  keepRecording(request: RecordingRequest): Promise<RecordingAnswer | Stopped>;
  /** WAV files of takes, named, in one ZIP. */
  zipOfTakes(
    takes: readonly { id: string; name: string; sampleRateHz: number }[],
    onProgress: Progress,
  ): Promise<{ kind: 'written'; file: Blob; missing: number } | Stopped>;
  stop(): void;
}

export function createStorageWorker(): StorageWorker {
  let work = new AbortController();

  /** What is stopped answers so; what fails otherwise rejects. */
  async function stoppable<Answer>(run: (signal: AbortSignal) => Promise<Answer>): Promise<Answer | Stopped> {
    const mine = new AbortController();
    work = mine;
    try {
      return await run(mine.signal);
    } catch (error) {
      if (mine.signal.aborted) return { kind: 'stopped' };
      throw error;
    }
  }

  return {
    loadSamples,
    async packSounds() {
      const takes = await takesInParts();
      for (const id of takes) await packTakeSound(id);
      return takes.length;
    },
    hasRoomFor,
    checkRows: () => checkRows(Date.now()),
    setRowAside: (table, id) => setRowAside(table, id, Date.now()),
    putRowBack,
    writeArchive: (choice, onProgress) =>
      stoppable(async (signal) => {
        const zip = new ZipWriter(new BlobWriter('application/zip'));
        const written = await writeArchive(zip, choice, Date.now(), onProgress, signal);
        return { kind: 'written' as const, file: await zip.close(), written };
      }),
    async readArchive(file) {
      const opened = await openArchive(file);
      if (typeof opened === 'string') return opened;
      return { manifest: opened.manifest, cutShort: opened.cutShort };
    },
    restore: (file, mode, onProgress) =>
      stoppable(async (signal) => {
        const opened = await openArchive(file);
        if (typeof opened === 'string') return { kind: 'refused' as const, why: opened };
        return { kind: 'back' as const, report: await restore(opened, mode, onProgress, signal) };
      }),
    copyToFolder: (onProgress) =>
      stoppable(async (signal) => ({
        kind: 'copied' as const,
        copied: await copyToFolder(Date.now(), onProgress, signal),
      })),
    keepRecording: (request) => stoppable((signal) => keepRecording(request, signal)),
    zipOfTakes: (takes, onProgress) =>
      stoppable(async (signal) => ({
        kind: 'written' as const,
        ...(await zipOfTakes(takes, onProgress, signal)),
      })),
    stop: () => work.abort(),
  };
}
