import type { Choices, Option, OptionName, Options } from '@inner-hum/core/exercise';
import { DYNAMIC_MARKS } from '@inner-hum/core/exercise';
import { hornById, toSounding, writtenMidi, type HornId, type NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { decimals } from '../words/index.ts';
import { Choice } from './Choice.tsx';
import { nextTempo } from './nextTempo.ts';
import { NoteGlyph } from '../notation/index.ts';
import { NumberField } from './NumberField.tsx';
import { Select } from './Select.tsx';
import { signedKey } from '../notation/index.ts';

interface OptionFieldsProps {
  options: Options;
  choices: Choices;
  naming: NoteNaming;
  hornId: HornId;
  /** Which to show, in this order; all where absent. */
  only?: readonly OptionName[];
  onChange(change: Choices): void;
}

/** What may be chosen of a family of drills, each with its usual value already there. */
export function OptionFields({ options, choices, naming, hornId, only, onChange }: OptionFieldsProps) {
  const { t } = useTranslation();
  const names = (only ?? (Object.keys(options) as OptionName[])).filter((name) => options[name]);
  return names.map((name) => {
    const option = options[name];
    if (!option) return null;
    const label = labelOf(name, options, t);
    const set = (value: number | string) => onChange({ [name]: value });
    const value = choices[name] ?? option.usual;
    // Fingerings are chosen in High notes, the notes of a chart run on the Horn map.
    if (option.kind === 'keys' || option.kind === 'notes') return null;
    if (option.kind === 'choice' && option.values.length <= 4)
      return (
        <Choice
          key={name}
          legend={label}
          value={String(value)}
          onChange={set}
          options={option.values.map((each) => ({ value: each, label: valueText(each, t) }))}
        />
      );
    if (option.kind === 'choice')
      return (
        <Select
          key={name}
          label={label}
          value={String(value)}
          onChange={set}
          plain={option.values.map((each) => ({ value: each, label: valueText(each, t) }))}
        />
      );
    return (
      <NumberField
        key={name}
        label={label}
        less={t('option.less', { name: label })}
        more={t('option.more', { name: label })}
        onLess={() => set(step(option, value, -1))}
        onMore={() => set(step(option, value, 1))}
        shown={shown(option, value, naming, hornId, t)}
      />
    );
  });
}

function labelOf(name: OptionName, options: Options, t: TFunction): string {
  if (name === 'note' && options.to) return t('option.noteFrom');
  if (name === 'from' && options.loud) return t('option.soft');
  return t(`option.${name}`);
}

/** Keys are named by their letter, everything else has a word. */
function valueText(value: string, t: TFunction): string {
  return /^[A-G][b#]?$/.test(value) ? signedKey(value) : t(`chosen.${value as 'both'}`);
}

function step(
  option: Exclude<Option, { kind: 'choice' | 'keys' | 'notes' }>,
  value: number | string,
  by: 1 | -1,
) {
  if (option.kind === 'mark') {
    const index = DYNAMIC_MARKS.findIndex((mark) => mark === value) + by;
    return DYNAMIC_MARKS[Math.max(0, Math.min(DYNAMIC_MARKS.length - 1, index))];
  }
  const isTempo = option.kind === 'number' && option.unit === 'bpm';
  const next = isTempo ? nextTempo(Number(value), by) : Number(value) + by;
  return Math.max(option.least, Math.min(option.most, next));
}

function shown(
  option: Exclude<Option, { kind: 'choice' | 'keys' | 'notes' }>,
  value: number | string,
  naming: NoteNaming,
  hornId: HornId,
  t: TFunction,
): ReactNode {
  if (option.kind === 'mark') return <em>{value}</em>;
  if (option.kind === 'number' && option.unit === 'tenthMm')
    return t('option.unit.tenthMm', { mm: decimals(Number(value) / 10, 1) });
  if (option.kind === 'number') return t(`option.unit.${option.unit}`, { count: Number(value) });
  const midi = Number(value);
  const read = option.kind === 'sounding' ? toSounding(writtenMidi(midi), hornById(hornId)) : midi;
  return <NoteGlyph midi={read} naming={naming} octave />;
}
