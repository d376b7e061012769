import type { ReedRecord } from './gearRecords.ts';
import type { AimRecord, DayNoteRecord, HighFingeringRecord, OwnExercise, TakeRecord } from './records.ts';
import type { OwnTable } from './ownTables.ts';

/** Both texts; what is already in one of them is not written twice. */
function joinTexts(ours: string, theirs: string): string {
  if (ours.includes(theirs)) return ours;
  if (theirs.includes(ours)) return theirs;
  return `${ours}\n${theirs}`;
}

const newer = <Row extends { changedAt: number }>(ours: Row, theirs: Row) =>
  theirs.changedAt > ours.changedAt ? theirs : ours;

/** How two rows of one key become one. What was written in either place stays; merging the same again changes nothing. */
const RULES: { [Table in OwnTable]?: (ours: never, theirs: never) => object } = {
  takes: (ours: TakeRecord, theirs: TakeRecord): TakeRecord => ({
    ...ours,
    playerNote: joinTexts(ours.playerNote, theirs.playerNote),
    call: ours.call ?? theirs.call,
    // Whoever brings a take back wants to have it.
    deletedAt: theirs.deletedAt === null ? null : ours.deletedAt,
  }),
  exercises: (ours: OwnExercise, theirs: OwnExercise) => newer(ours, theirs),
  highFingerings: (ours: HighFingeringRecord, theirs: HighFingeringRecord) => newer(ours, theirs),
  dayNotes: (ours: DayNoteRecord, theirs: DayNoteRecord): DayNoteRecord => ({
    ...ours,
    text: joinTexts(ours.text, theirs.text),
    temperatureC: ours.temperatureC ?? theirs.temperatureC,
  }),
  reeds: (ours: ReedRecord, theirs: ReedRecord): ReedRecord => ({
    ...ours,
    retiredAt: ours.retiredAt ?? theirs.retiredAt,
    remarks: [
      ...ours.remarks,
      ...theirs.remarks.filter(
        ({ at, text }) => !ours.remarks.some((each) => each.at === at && each.text === text),
      ),
    ].toSorted((a, b) => a.at - b.at),
  }),
  aims: (ours: AimRecord, theirs: AimRecord): AimRecord => ({
    ...ours,
    doneAt: ours.doneAt ?? theirs.doneAt,
  }),
};

/** The row that is kept where one of a key is here and another comes; anything without a rule stays as it is here. */
export function mergeRow(table: OwnTable, ours: object, theirs: object): object {
  return RULES[table]?.(ours as never, theirs as never) ?? ours;
}
