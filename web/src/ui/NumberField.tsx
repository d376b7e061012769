import { Box, chakra, Flex, NumberInput } from '@chakra-ui/react';
import { Minus, Plus } from 'lucide-react';
import { use, useEffect, useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { PedalKeys } from './pedalKeys.ts';

/** What is stored follows what was done here within so long. */
const FOLLOWS_MS = 400;
const PAGE_STEPS = 10;
const STEPS = new Set(['ArrowUp', 'ArrowDown', 'Home', 'End']);

export interface NumberFieldProps {
  label: string;
  /** Null: none is chosen. */
  value: number | null;
  min: number;
  max: number;
  step?: number;
  /** Where a step goes from none. */
  first?: number;
  /** Digits after the point. */
  digits?: number;
  less?: string | undefined;
  more?: string | undefined;
  /** One step up or down where steps are not all alike. */
  next?: (value: number, by: 1 | -1) => number;
  /** Beside the number: what it counts. */
  unit?: string;
  /** In the place of the number, where it is no number for the player. */
  shown?: ReactNode;
  /** Beside the field: other ways to set it. */
  beside?: ReactNode;
  onChange(value: number): void;
  /** Where the field may be left empty. */
  onClear?: () => void;
}

const RoundButton = chakra(
  'button',
  {
    base: {
      minW: 'touch',
      minH: 'touch',
      display: 'inline-grid',
      placeItems: 'center',
      cursor: 'pointer',
      borderRadius: 'round',
      borderWidth: '1px',
      borderStyle: 'solid',
      borderColor: 'edge',
      touchAction: 'manipulation',
      userSelect: 'none',
      _disabled: { opacity: 0.4, cursor: 'default' },
    },
  },
  { defaultProps: { type: 'button' } },
);

/**
 * A number that goes up and down: by pressing, by holding, by arrows and page keys, or typed; enter or leaving takes what was typed,
 * held within its bounds, escape leaves it as it was. The wheel does nothing.
 */
export function NumberField(props: NumberFieldProps) {
  const {
    label,
    value,
    min,
    max,
    step = 1,
    digits = 0,
    unit,
    shown,
    beside,
    next,
    first,
    onChange,
    onClear,
  } = props;
  const { t, i18n } = useTranslation();
  const isPedals = use(PedalKeys);
  /** What stands in the input's place, where there is no input for the buttons to control. */
  const shownId = useId();
  const controls = shown === undefined ? undefined : shownId;
  const format = new Intl.NumberFormat(i18n.language, { maximumFractionDigits: digits, useGrouping: false });
  /** What was done here and is not yet stored. */
  const [local, setLocal] = useState<{ text: string; number: number | null } | null>(null);
  /** What is typed is taken when it is done; it may be on its way through a number that is not meant. */
  const typing = useRef(false);
  const [isFocused, setFocused] = useState(false);
  useEffect(() => {
    if (local === null || typing.current) return undefined;
    const timer = setTimeout(() => setLocal(null), FOLLOWS_MS);
    return () => clearTimeout(timer);
  }, [local, value]);
  const leave = () => {
    typing.current = false;
    setLocal(null);
  };
  const take = (next: number) => {
    const kept = Math.max(min, Math.min(max, next));
    typing.current = false;
    setLocal({ text: format.format(kept), number: kept });
    onChange(kept);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') {
      leave();
      event.currentTarget.blur();
    }
    // A step goes on from what was typed.
    if (STEPS.has(event.key)) typing.current = false;
    if (isPedals || (event.key !== 'PageUp' && event.key !== 'PageDown')) return;
    event.preventDefault();
    take((value ?? min) + (event.key === 'PageUp' ? 1 : -1) * PAGE_STEPS * step);
  };
  return (
    <NumberInput.Root
      unstyled
      role="group"
      aria-label={label}
      value={local?.text ?? (value === null ? '' : format.format(value))}
      min={min}
      max={max}
      step={step}
      locale={i18n.language}
      formatOptions={{ maximumFractionDigits: digits, useGrouping: false }}
      // What was pressed has no use for the focus; on the Stand the next key starts.
      focusInputOnChange={false}
      translations={{
        decrementLabel: props.less ?? t('option.less', { name: label }),
        incrementLabel: props.more ?? t('option.more', { name: label }),
      }}
      onValueChange={(details) => {
        const { valueAsNumber } = details;
        const before = local?.number ?? value;
        if (typing.current) setLocal({ text: details.value, number: local?.number ?? null });
        else if (Number.isNaN(valueAsNumber)) return;
        else if (first !== undefined && before === null) take(first);
        else if (next && before !== null && valueAsNumber !== before)
          take(next(before, valueAsNumber > before ? 1 : -1));
        else take(valueAsNumber);
      }}
      onValueCommit={(details) => {
        if (!typing.current) return;
        if (!Number.isNaN(details.valueAsNumber)) take(details.valueAsNumber);
        else {
          leave();
          if (details.value === '') onClear?.();
        }
      }}
      onFocusChange={({ focused }) => setFocused(focused)}
    >
      <Box color="muted" fontSize="small" whiteSpace="nowrap">
        <NumberInput.Label unstyled asChild>
          {shown === undefined ? <label>{label}</label> : <span>{label}</span>}
        </NumberInput.Label>
        {/* What it can be is said where it is typed. */}
        {isFocused && ` ${format.format(min)}-${format.format(max)}`}
      </Box>
      <Flex alignItems="center" gap="2">
        <NumberInput.DecrementTrigger asChild unstyled aria-controls={controls}>
          <RoundButton>
            <Minus size={18} aria-hidden="true" />
          </RoundButton>
        </NumberInput.DecrementTrigger>
        {shown === undefined ? (
          <Flex alignItems="baseline" gap="1">
            <NumberInput.Input
              unstyled
              onInputCapture={() => {
                typing.current = true;
              }}
              onFocus={(event) => event.currentTarget.select()}
              onKeyDown={onKeyDown}
              aria-roledescription={undefined}
              minH="touch"
              w={digits > 0 || max > 999 ? '4.2em' : max > 99 ? '3em' : '2.4em'}
              textAlign="center"
              fontSize="large"
              borderBottomWidth="1px"
              borderBottomStyle="dotted"
              borderColor="edge"
            />
            {unit !== undefined && (
              <chakra.span color="muted" fontSize="small" whiteSpace="nowrap">
                {unit}
              </chakra.span>
            )}
          </Flex>
        ) : (
          <Box id={shownId} minW="9" textAlign="center" fontSize="large" aria-live="polite">
            {shown}
          </Box>
        )}
        <NumberInput.IncrementTrigger asChild unstyled aria-controls={controls}>
          <RoundButton>
            <Plus size={18} aria-hidden="true" />
          </RoundButton>
        </NumberInput.IncrementTrigger>
        {beside}
      </Flex>
    </NumberInput.Root>
  );
}
