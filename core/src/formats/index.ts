// File formats over libraries: WAV, frames as rows, the export of one take. Nothing here hears or judges.
export { SOUND_KIND_BYTES, soundKind, type SoundKind } from './soundKind.ts';
export { promisedLength, PROMISE_BYTES, type PromisedLength } from './promisedLength.ts';
export { encodeWav, decodeWav, readWavFile, type FileParts, type Sound } from './wav.ts';
export { packTake, type TakeDocument } from './takeExport.ts';
export { frameRows, framesToCsv, type FrameRow } from './frameRows.ts';
export { chartToCsv, chartToJson } from './chartExport.ts';
export { packFrames, unpackFrames } from './packedFrames.ts';
export {
  packDemo,
  unpackDemo,
  type DemoAim,
  type DemoMoment,
  type DemoPack,
  type DemoReed,
  type DemoRound,
  type DemoTake,
  type DemoTask,
  type DemoTrial,
} from './demoPack.ts';
export { decodeFlac, encodeFlac } from './flac.ts';
export { framesFromBytes, framesToBytes } from './frameBytes.ts';
export { isDay } from './isDay.ts';
export { readJson } from './readJson.ts';
export {
  parseTask,
  TASK_LIMITS,
  taskFromFragment,
  taskToFragment,
  taskToText,
  type Task,
  type TaskItem,
} from './task.ts';
export { mapToCsv, type MappedNote } from './mapTable.ts';
export { BYTE_ORDER_MARK, CSV_STYLES, toCsv, type Cell, type CsvStyle } from './csv.ts';
export { notesToCsv, notesToJson, takesToCsv, type TabledTake } from './noteTable.ts';
