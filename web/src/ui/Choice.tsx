import { Box, chakra, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
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
  value: Value;
  onChange(value: Value): void;
}

/** One of a few, as words side by side; the chosen one is underlined in brass. */
export function Choice<Value extends string>(props: ChoiceProps<Value>) {
  const { legend, hideLegend = false, staysInLine = false, options, value, onChange } = props;
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
          <chakra.button
            key={option.value}
            type="button"
            aria-pressed={option.value === value}
            aria-label={option.name}
            onClick={() => onChange(option.value)}
            display="inline-flex"
            alignItems="center"
            gap="2"
            minH="touch"
            cursor="pointer"
            color={option.value === value ? 'ink' : 'muted'}
            fontWeight={option.value === value ? 700 : 400}
            borderBottomWidth="3px"
            borderBottomStyle="solid"
            borderBottomColor={option.value === value ? 'brass' : 'transparent'}
          >
            {option.label}
            {option.keyName && <Key>{option.keyName}</Key>}
          </chakra.button>
        ))}
      </Flex>
    </Box>
  );
}
