/** What figures are told in: as a column of a table names it; '' is a plain number. */
export const UNITS = {
  percent: '%',
  cents: 'cents',
  centsPerSecond: 'cents/s',
  bend: 'cents/10 dB',
  dbfs: 'dBFS',
  db: 'dB',
  dbPerSecond: 'dB/s',
  ms: 'ms',
  seconds: 's',
  beats: 'beats',
  hz: 'Hz',
  harmonicNumber: 'harmonic number',
  harmonics: 'harmonic numbers',
  harmonicsPer10Db: 'harmonic numbers/10 dB',
  plain: '',
} as const;
export type Unit = keyof typeof UNITS;
