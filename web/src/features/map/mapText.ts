import type { NoteEvenness } from '@inner-hum/core/tendency';
import type { TFunction } from 'i18next';
import { noteText } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';
import { ROWS, type HornMap, type RowName } from './useHornMap.ts';

/** A figure of a row in words with its unit. */
export function rowText(name: RowName, value: number, t: TFunction): string {
  switch (name) {
    case 'responseMs':
      return t('figure.ms', { ms: Math.round(value / 10) * 10 });
    case 'holdSeconds':
      return t('map.seconds', { seconds: decimals(value, 1) });
    case 'noiseToHarmonicDb':
    case 'levelDb':
      return t('figure.db', { db: decimals(value, 0) });
    case 'centroidHarmonics':
      return t('map.harmonics', { harmonics: decimals(value, 1) });
  }
}

interface Standing {
  key: string;
  note: number;
  z: number;
  text: string;
}

/** The notes that stick out most over all measures, at most `most`, one line a note and measure. */
export function standingOut(map: HornMap, shift: number, most: number, t: TFunction): Standing[] {
  const { naming } = map.settings;
  const name = ({ writtenMidi }: NoteEvenness) => noteText(writtenMidi + shift, naming);
  const pitch = (map.pitch?.stickOut ?? []).map((note): Standing => {
    const off = Math.round(note.value - note.smooth);
    return {
      key: `pitch ${note.writtenMidi}`,
      note: note.writtenMidi,
      z: note.z,
      text: t(off > 0 ? 'map.sharper' : 'map.flatter', { note: name(note), count: Math.abs(off) }),
    };
  });
  const rows = (Object.keys(ROWS) as RowName[]).flatMap((row) =>
    (map.rows[row]?.stickOut ?? []).map((note): Standing => ({
      key: `${row} ${note.writtenMidi}`,
      note: note.writtenMidi,
      z: note.z,
      text: t(`map.stands.${row}`, {
        note: name(note),
        value: rowText(row, note.value, t),
        smooth: rowText(row, note.smooth, t),
      }),
    })),
  );
  return [...pitch, ...rows].toSorted((a, b) => Math.abs(b.z) - Math.abs(a.z)).slice(0, most);
}

/** One index a measure, and what it means; empty where too little is known. */
export function evennessText({ pitch, rows }: Pick<HornMap, 'pitch' | 'rows'>, t: TFunction): string {
  const named = [
    ...(pitch ? [{ name: t('map.row.pitch'), index: pitch.index }] : []),
    ...(Object.keys(ROWS) as RowName[]).flatMap((row) => {
      const even = rows[row];
      return even ? [{ name: t(`map.row.${row}`), index: even.index }] : [];
    }),
  ];
  if (named.length === 0) return '';
  return t('map.evenness', { indexes: named.map(({ name, index }) => `${name} ${index}`).join(', ') });
}
