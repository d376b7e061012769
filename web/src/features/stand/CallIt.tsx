import { Box, Flex, Heading } from '@chakra-ui/react';
import type { PitchGuess, GuessedEnd, GuessedSide } from '@inner-hum/core/judge';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHotkeys } from 'react-hotkeys-hook';
import { ActionButton, Key } from '../../ui/index.ts';

/** Up is sharp, as on the ribbon. */
const SIDES: { side: GuessedSide; key: string; sign: string }[] = [
  { side: 'sharp', key: 'up', sign: '↑' },
  { side: 'true', key: 'right', sign: '→' },
  { side: 'flat', key: 'down', sign: '↓' },
];

interface CallItProps {
  ends: readonly GuessedEnd[];
  onCall(call: PitchGuess): void;
  onShow(): void;
}

/** Before a blind take is shown: how was it? One question an end, by hand, key or pedal. */
export function CallIt({ ends, onCall, onShow }: CallItProps) {
  const { t } = useTranslation();
  const [call, setCall] = useState<PitchGuess>({});
  const end = ends.find((each) => call[each] === undefined) ?? null;
  const answer = (side: GuessedSide) => {
    if (!end) return;
    const next = { ...call, [end]: side };
    setCall(next);
    if (ends.every((each) => next[each] !== undefined)) onCall(next);
  };
  const byKey = (side: GuessedSide) => (event: KeyboardEvent) => {
    event.preventDefault();
    event.stopImmediatePropagation();
    answer(side);
  };
  useHotkeys('up', byKey('sharp'), [call]);
  useHotkeys('right', byKey('true'), [call]);
  useHotkeys('down', byKey('flat'), [call]);
  if (!end) return null;
  return (
    <Box role="group" aria-label={t('callIt.title')}>
      <Heading
        as="h2"
        fontFamily="heading"
        fontSize={{ base: 'title', md: 'display' }}
        lineHeight="1.2"
        mb="3"
      >
        {t(`callIt.${end}`)}
      </Heading>
      <Flex gap="4" wrap="wrap" alignItems="center">
        {SIDES.map(({ side, sign }) => (
          <ActionButton key={side} look="main" onClick={() => answer(side)}>
            {t(`callIt.${side}`)} <Key>{sign}</Key>
          </ActionButton>
        ))}
        <ActionButton look="plain" onClick={onShow}>
          {t('callIt.show')}
        </ActionButton>
      </Flex>
    </Box>
  );
}
