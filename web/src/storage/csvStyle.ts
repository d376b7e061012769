import type { CsvStyle } from '@inner-hum/core/formats';
import type { SettingsRecord } from './settingsRecord.ts';

/** Languages in which a number has a comma: a table parts its cells by semicolons there. */
const WITH_COMMA = /^(?:de|it)/i;

/** How tables for spreadsheets are to be written: as chosen, or as is usual in the language of the interface. */
export function csvStyle({ csv, language }: Pick<SettingsRecord, 'csv' | 'language'>): CsvStyle {
  if (csv !== 'language') return csv;
  const spoken = language === 'device' ? deviceLanguage() : language;
  return WITH_COMMA.test(spoken) ? 'semicolon' : 'comma';
}

const deviceLanguage = () => (typeof navigator === 'undefined' ? '' : (navigator.languages.at(0) ?? ''));
