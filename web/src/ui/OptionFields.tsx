import type { Choices, Option, OptionName, Options } from '@inner-hum/core/exercise';
import { DYNAMIC_MARKS } from '@inner-hum/core/exercise';
import { hornById, soundingMidi, toWritten, type HornId, type NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';
import { Choice } from './Choice.tsx';
import { OrderField } from './OrderField.tsx';
import { SoftestField } from './SoftestField.tsx';
import { MarkField } from './MarkField.tsx';
import { NoteField } from './NoteField.tsx';
import { PickField } from './PickField.tsx';
import { NumberField } from './NumberField.tsx';
import { TempoField } from './TempoField.tsx';
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
  /** The key that taps the tempo; null: none. */
  tapKey?: string | null;
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
  tapKey = null,
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
    if (option.kind === 'mark')
      return (
        <MarkField
          key={name}
          label={label}
          mark={DYNAMIC_MARKS.find((mark) => mark === value) ?? option.usual}
          onChange={set}
        />
      );
    const horn = hornById(hornId);
    if (option.kind === 'note' || option.kind === 'sounding') {
      // Notes of the tube alone are chosen as they sound, and kept as they are written.
      const shift = option.kind === 'sounding' ? horn.transposition : 0;
      return (
        <NoteField
          key={name}
          label={label}
          midi={Number(value) + shift}
          min={option.least + shift}
          max={option.most + shift}
          naming={naming}
          fromSounding={(sounding) => toWritten(soundingMidi(sounding), horn) + shift}
          onChange={(midi) => set(midi - shift)}
        />
      );
    }
    if (option.kind !== 'number') return null;
    if (option.unit === 'bpm')
      return (
        <TempoField
          key={name}
          tempoBpm={Number(value)}
          min={option.least}
          max={option.most}
          tapKey={tapKey}
          onChange={set}
        />
      );
    const isTenths = option.unit === 'tenthMm';
    const scale = isTenths ? 10 : 1;
    const isWholeWay = option.unit === 'halfSteps' && WHOLE_WAYS.has(name);
    return (
      <NumberField
        key={name}
        label={label}
        value={Number(value) / scale}
        min={option.least / scale}
        max={option.most / scale}
        step={1 / scale}
        digits={isTenths ? 1 : 0}
        unit={unitText(option.unit, Number(value), t)}
        beside={
          isWholeWay &&
          value !== option.most && (
            <ActionButton look="plain" onClick={() => set(option.most)}>
              {t('option.wholeWay')}
            </ActionButton>
          )
        }
        onChange={(next) => set(Math.round(next * scale))}
      />
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

type NumberUnit = Extract<Option, { kind: 'number' }>['unit'];

/** What a number counts, without the number. */
function unitText(unit: NumberUnit, count: number, t: TFunction): string {
  return t(`option.unit.${unit}`, { count, mm: '' }).replace(String(count), '').trim();
}
