import { Box, chakra, Flex } from '@chakra-ui/react';
import { useId, type ReactNode } from 'react';
import { Key } from './Key.tsx';

export interface ChoiceOption<Value extends string> {
  value: Value;
  label: ReactNode;
  /** Name for screen readers where the label is a drawing. */
  name?: string;
  keyName?: string;
}

interface ChoiceProps<Value extends string> {
  legend: string;
  hideLegend?: boolean;
  /** Its options stay side by side, whatever room there is. */
  staysInLine?: boolean;
  options: readonly ChoiceOption<Value>[];
  /** Null: none is chosen yet. */
  value: Value | null;
  onChange(value: Value): void;
}

/** Over all of its label: wherever it is pressed, and whoever asks for it, it is the choice itself. */
const Radio = chakra('input', {
  base: { position: 'absolute', inset: '0', w: 'full', h: 'full', m: '0', opacity: 0, cursor: 'pointer' },
});

/** One of a few, as words side by side: Tab goes to the chosen one, arrows choose; it is underlined in brass. */
export function Choice<Value extends string>(props: ChoiceProps<Value>) {
  const { legend, hideLegend = false, staysInLine = false, options, value, onChange } = props;
  const name = useId();
  return (
    <Box as="fieldset" minW="0">
      <chakra.legend
        color="muted"
        fontSize="small"
        {...(hideLegend && {
          position: 'absolute',
          w: '1px',
          h: '1px',
          overflow: 'hidden',
          clipPath: 'inset(50%)',
        })}
      >
        {legend}
      </chakra.legend>
      <Flex gap="4" wrap={staysInLine ? 'nowrap' : 'wrap'} alignItems="center">
        {options.map((option) => (
          <chakra.label
            key={option.value}
            position="relative"
            display="inline-flex"
            alignItems="center"
            gap="2"
            minH="touch"
            color={option.value === value ? 'ink' : 'muted'}
            fontWeight={option.value === value ? 700 : 400}
            borderBottomWidth="3px"
            borderBottomStyle="solid"
            borderBottomColor={option.value === value ? 'brass' : 'transparent'}
          >
            <Radio
              type="radio"
              name={name}
              value={option.value}
              checked={option.value === value}
              aria-label={option.name}
              onChange={() => onChange(option.value)}
              // Pressed with a finger or the mouse it keeps no key from the room.
              onClick={(event) => {
                if (event.detail > 0) event.currentTarget.blur();
              }}
            />
            {option.label}
            {option.keyName && <Key>{option.keyName}</Key>}
          </chakra.label>
        ))}
      </Flex>
    </Box>
  );
}
