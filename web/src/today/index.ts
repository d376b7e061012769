// Today: its sheet as it stands in the database and as it is planned, the player's own routine, and how much of the
// day's high and loud playing is left. Pages of the sheet and of the Stand read it.
export {
  finishLine,
  giveAddress,
  isPlayable,
  lineAddress,
  lineAfter,
  lineOutcome,
  useToday,
  withLine,
  type BadLine,
  type Today,
} from './todaySheet.ts';
export { takesOfLine } from './takesOfLine.ts';
export { usePlayingLoadToday, type PlayingLoadToday } from './playingLoadToday.ts';
