import { Box, chakra, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';

interface OrderFieldProps {
  legend: string;
  values: readonly string[];
  /** The chosen values with dots between; empty: all, as is usual. */
  value: string;
  textOf(value: string): string;
  onChange(value: string): void;
}

/** Some of several, in the order in which they are pressed; pressed again, one is taken out. */
export function OrderField({ legend, values, value, textOf, onChange }: OrderFieldProps) {
  const { t } = useTranslation();
  const chosen = value.split('.').filter(Boolean);
  const press = (each: string) =>
    onChange(
      (chosen.includes(each) ? chosen.filter((other) => other !== each) : [...chosen, each]).join('.'),
    );
  return (
    <Box as="fieldset" minW="0">
      <chakra.legend color="muted" fontSize="small">
        {legend}
      </chakra.legend>
      <Flex gap="4" wrap="wrap" alignItems="center">
        {values.map((each) => {
          const place = chosen.indexOf(each) + 1;
          return (
            <chakra.button
              key={each}
              type="button"
              aria-pressed={place > 0}
              onClick={() => press(each)}
              minH="touch"
              cursor="pointer"
              color={place > 0 ? 'ink' : 'muted'}
              fontWeight={place > 0 ? 700 : 400}
              borderBottomWidth="3px"
              borderBottomStyle="solid"
              borderBottomColor={place > 0 ? 'brass' : 'transparent'}
            >
              {place > 0 ? t('option.place', { place, name: textOf(each) }) : textOf(each)}
            </chakra.button>
          );
        })}
        {chosen.length > 0 && (
          <ActionButton look="plain" onClick={() => onChange('')}>
            {t('option.usualOrder')}
          </ActionButton>
        )}
      </Flex>
    </Box>
  );
}
