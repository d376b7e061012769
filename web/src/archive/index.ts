// Everything of the player's as one ZIP, and back. What belongs here: the parts of an archive, writing, reading, mending. What is
// merged with what stands in storage; nothing here asks the player anything.
export type { ArchiveManifest } from './archiveFormat.ts';
export { writeArchive, type ArchiveWritten } from './writeArchive.ts';
export { openArchive, type ArchiveRefusal, type OpenedArchive } from './openArchive.ts';
export { restore, type RestoreReport } from './restoreArchive.ts';
export { copyToFolder, type FolderCopied } from './copyToFolder.ts';
