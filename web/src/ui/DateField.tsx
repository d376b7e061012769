import { chakra, Flex } from '@chakra-ui/react';
import { CalendarDays } from 'lucide-react';
import { useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { dayInFigures, typedDay } from '../words/index.ts';
import { ActionButton } from './ActionButton.tsx';
import { Field, FIELD_LOOK } from './Field.tsx';

interface DateFieldProps {
  label: string;
  /** `yyyy-MM-dd`. */
  value: string;
  latest?: string;
  /** Whether no day is an answer too: then it is told as an empty text. */
  mayBeEmpty?: boolean;
  onChange(value: string): void;
}

const textOf = (value: string) => (typedDay(value) === null ? '' : dayInFigures(value));

/** A day, typed as the player's language writes it or picked in the system's calendar; an impossible one is not told. */
export function DateField({ label, value, latest, mayBeEmpty = false, onChange }: DateFieldProps) {
  const { t } = useTranslation();
  const calendar = useRef<HTMLInputElement>(null);
  /** What is being typed; null: nothing, the field shows its day. */
  const [draft, setDraft] = useState<string | null>(null);
  const tell = (text: string) => {
    const day = typedDay(text);
    const isAllowed = day !== null && (latest === undefined || day <= latest);
    if (isAllowed) onChange(day);
    else if (mayBeEmpty && text.trim() === '') onChange('');
    return isAllowed;
  };
  const isUnread = draft !== null && draft.trim() !== '' && typedDay(draft) === null;
  return (
    <Field label={label}>
      {(id) => (
        <Flex alignItems="center" gap="1" position="relative">
          <chakra.input
            id={id}
            type="text"
            inputMode="numeric"
            autoComplete="off"
            value={draft ?? textOf(value)}
            placeholder={dayInFigures('2026-03-14')}
            aria-invalid={isUnread}
            onChange={({ target }) => {
              setDraft(target.value);
              tell(target.value);
            }}
            onBlur={() => setDraft(null)}
            onKeyDown={({ key }) => {
              if (key === 'Enter' || key === 'Escape') setDraft(null);
            }}
            minH="touch"
            w="150px"
            {...FIELD_LOOK}
            borderColor={isUnread ? 'copper' : FIELD_LOOK.borderColor}
          />
          <ActionButton
            look="plain"
            aria-label={t('typed.calendar')}
            aria-describedby={id}
            onClick={() => calendar.current?.showPicker()}
          >
            <CalendarDays size={20} aria-hidden />
          </ActionButton>
          <chakra.input
            ref={calendar}
            type="date"
            tabIndex={-1}
            aria-hidden
            value={value}
            max={latest}
            onChange={({ target }) => {
              setDraft(null);
              tell(target.value);
            }}
            position="absolute"
            right="0"
            bottom="0"
            w="0"
            h="0"
            opacity="0"
            pointerEvents="none"
          />
        </Flex>
      )}
    </Field>
  );
}
