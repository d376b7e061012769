import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from '../../ui/index.ts';
import { evennessText, standingOut } from './mapText.ts';
import type { HornMap } from './useHornMap.ts';

const STAND_OUT = 3;

interface StandingLinesProps {
  data: HornMap;
  shift: number;
  onLook(note: number): void;
}

/** How even the horn is, and the notes that stand out most. */
export function StandingLines({ data, shift, onLook }: StandingLinesProps) {
  const { t } = useTranslation();
  const lines = standingOut(data, shift, STAND_OUT, t);
  return (
    <>
      <Box color="muted" mb="1" data-testid="evenness">
        {evennessText(data, t)}
      </Box>
      {lines.length === 0 ? (
        <Box>{t('map.nothingSticksOut')}</Box>
      ) : (
        <Box as="ul" data-testid="sticks-out">
          {lines.map(({ key, note, text }) => (
            <li key={key}>
              <ActionButton look="plain" textAlign="left" onClick={() => onLook(note)}>
                {text}
              </ActionButton>
            </li>
          ))}
        </Box>
      )}
    </>
  );
}
