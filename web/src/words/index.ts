// What the interface says and how: messages in three languages, dates and numbers as each writes them.
// No rooms, no storage; message files hold every sentence.
export {
  LANGUAGE_NAMES,
  LANGUAGES,
  startWords,
  setLanguage,
  loadMessages,
  type ChosenLanguage,
} from './languages.ts';
export { dateText, type DateStyle } from './dateText.ts';
export { decimals, signed } from './decimals.ts';
export { dayInFigures, typedDay } from './typedDay.ts';
