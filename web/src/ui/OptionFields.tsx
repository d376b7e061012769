import type { Choices, Option, OptionName, Options } from '@inner-hum/core/exercise';
import { DYNAMIC_MARKS } from '@inner-hum/core/exercise';
import { hornById, toSounding, writtenMidi, type HornId, type NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { decimals } from '../words/index.ts';
import { Flex } from '@chakra-ui/react';
import { ActionButton } from './ActionButton.tsx';
import { Choice } from './Choice.tsx';
import { OrderField } from './OrderField.tsx';
import { SoftestField } from './SoftestField.tsx';
import { nextTempo } from './nextTempo.ts';
import { NoteGlyph } from '../notation/index.ts';
import { PickField } from './PickField.tsx';
import { NumberField } from './NumberField.tsx';
import { typedNote } from './typedNote.ts';
import type { Typed } from './TypedValue.tsx';
import { Select } from './Select.tsx';
import { signedKey } from '../notation/index.ts';

interface OptionFieldsProps {
  options: Options;
  choices: Choices;
  naming: NoteNaming;
  hornId: HornId;
  /** Which to show, in this order; all where absent. */
  only?: readonly OptionName[];
  /** Softest marks of notes as the player lately played them, as one word; absent: not asked for here. */
  softestMarks?: string;
  onChange(change: Choices): void;
}

/** What may be chosen of a family of drills, each with its usual value already there. */
export function OptionFields({
  options,
  choices,
  naming,
  hornId,
  only,
  softestMarks,
  onChange,
}: OptionFieldsProps) {
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
    if (option.kind === 'softs')
      return softestMarks === undefined ? null : (
        <SoftestField
          key={name}
          label={label}
          value={String(value)}
          lately={softestMarks}
          naming={naming}
          onChange={set}
        />
      );
    if (option.kind === 'order')
      return (
        <OrderField
          key={name}
          legend={label}
          values={option.values}
          value={String(value)}
          textOf={(each) => valueText(each, t)}
          onChange={set}
        />
      );
    if (option.kind === 'pick')
      return (
        <PickField
          key={name}
          label={label}
          value={String(value)}
          least={option.least}
          most={option.most}
          count={option.count}
          unpicked={option.unpicked}
          naming={naming}
          onPick={set}
        />
      );
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
    const isWholeWay = option.kind === 'number' && option.unit === 'halfSteps' && WHOLE_WAYS.has(name);
    const field = (
      <NumberField
        key={name}
        label={label}
        less={t('option.less', { name: label })}
        more={t('option.more', { name: label })}
        onLess={() => set(step(option, value, -1))}
        onMore={() => set(step(option, value, 1))}
        shown={shown(option, value, naming, hornId, t)}
        typed={typedOption(option, value, naming, hornId, set)}
      />
    );
    if (!isWholeWay || value === option.most) return field;
    return (
      <Flex key={name} alignItems="flex-end" gap="3">
        {field}
        <ActionButton look="plain" onClick={() => set(option.most)}>
          {t('option.wholeWay')}
        </ActionButton>
      </Flex>
    );
  });
}

/** What goes as far as the horn does, by one press. */
const WHOLE_WAYS: ReadonlySet<OptionName> = new Set(['widest', 'climb']);

function labelOf(name: OptionName, options: Options, t: TFunction): string {
  if (name === 'note' && options.to) return t('option.noteFrom');
  if (name === 'from' && options.loud && !options.soft) return t('option.soft');
  return t(`option.${name}`);
}

/** Keys are named by their letter, everything else has a word. */
function valueText(value: string, t: TFunction): string {
  return /^[A-G][b#]?$/.test(value) ? signedKey(value) : t(`chosen.${value as 'both'}`);
}

/** Options that go up and down by steps. */
type StepOption = Extract<Option, { kind: 'note' | 'sounding' | 'number' | 'mark' }>;

function step(option: StepOption, value: number | string, by: 1 | -1) {
  if (option.kind === 'mark') {
    const index = DYNAMIC_MARKS.findIndex((mark) => mark === value) + by;
    return DYNAMIC_MARKS[Math.max(0, Math.min(DYNAMIC_MARKS.length - 1, index))];
  }
  const isTempo = option.kind === 'number' && option.unit === 'bpm';
  const next = isTempo ? nextTempo(Number(value), by) : Number(value) + by;
  return Math.max(option.least, Math.min(option.most, next));
}

/** How a value is typed: notes by name, numbers as they are; beyond its bounds it goes as far as they do. */
function typedOption(
  option: StepOption,
  value: number | string,
  naming: NoteNaming,
  hornId: HornId,
  set: (value: number) => void,
): Typed | null {
  if (option.kind === 'mark') return null;
  const { least, most } = option;
  const take = (read: number | null) => {
    if (read !== null) set(Math.max(least, Math.min(most, read)));
    return read !== null;
  };
  if (option.kind === 'number') {
    const scale = option.unit === 'tenthMm' ? 10 : 1;
    const text = (each: number) => decimals(each / scale, option.unit === 'tenthMm' ? 1 : 0);
    return {
      text: text(Number(value)),
      example: `${text(least)}-${text(most)}`,
      onTyped: (typed) => take(readNumber(typed, scale)),
    };
  }
  const horn = hornById(hornId);
  const read = option.kind === 'sounding' ? toSounding(writtenMidi(Number(value)), horn) : Number(value);
  return typedNote(read, naming, (midi) =>
    take(option.kind === 'sounding' ? midi - horn.transposition : midi),
  );
}

function readNumber(typed: string, scale: number): number | null {
  const match = /^(\d+(?:[.,]\d+)?)/.exec(typed);
  return match ? Math.round(scale * Number(match[1].replace(',', '.'))) : null;
}

function shown(
  option: StepOption,
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
