import { Box, Flex } from '@chakra-ui/react';
import { parseISO } from 'date-fns';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { PlayedReed, ReedRemark } from '../../storage/index.ts';
import { reedName } from '../../notation/index.ts';
import { ActionButton } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { ReedRemarkForm } from './ReedRemarkForm.tsx';

interface ReedRowProps {
  played: PlayedReed;
  isOn: boolean;
  onPutOn(): void;
  onRemark(remark: Omit<ReedRemark, 'at'>): void;
  onRetire(): void;
}

/** One reed: how long it was played and how it plays; said anew whenever the player likes. */
export function ReedRow({ played, isOn, onPutOn, onRemark, onRetire }: ReedRowProps) {
  const { t } = useTranslation();
  const [isSaying, setSaying] = useState(false);
  const { reed, playedSeconds, days, lastDay } = played;
  const last = reed.remarks.at(-1);
  const isRetired = reed.retiredAt !== null;
  return (
    <Flex
      as="li"
      columnGap="5"
      rowGap="1"
      wrap="wrap"
      alignItems="center"
      py="2"
      pl="3"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor={isOn ? 'brass' : 'transparent'}
      color={isRetired ? 'muted' : 'ink'}
      data-reed={reed.name || reed.kind}
    >
      <Box flex="1" minW="quarter">
        <Box fontFamily="heading" fontSize="medium">
          {reedName(reed)} {isOn && <Box as="span">{t('reed.isOn')}</Box>}
        </Box>
        <Box color="muted" fontSize="small">
          {lastDay === null
            ? t('reed.neverPlayed')
            : t('reed.played', {
                count: days,
                minutes: Math.round(playedSeconds / 60),
                last: dateText(parseISO(lastDay), 'day'),
              })}
          {last && ` ${t('reed.said', { how: t(`reed.how.${last.how}`), date: dateText(last.at, 'day') })}`}
          {last?.text && ` – ${last.text}`}
        </Box>
      </Box>
      {isSaying ? (
        <ReedRemarkForm
          onRemark={(remark) => {
            setSaying(false);
            onRemark(remark);
          }}
          onCancel={() => setSaying(false)}
        />
      ) : (
        <Flex gap="4" wrap="wrap">
          {!isOn && !isRetired && (
            <ActionButton
              look="plain"
              onClick={onPutOn}
              aria-label={t('reed.putOnThis', { reed: reedName(reed) })}
            >
              {t('reed.putOn')}
            </ActionButton>
          )}
          {!isRetired && (
            <ActionButton look="plain" onClick={() => setSaying(true)}>
              {t('reed.say')}
            </ActionButton>
          )}
          <ActionButton look="plain" onClick={onRetire}>
            {t(isRetired ? 'reed.bringBack' : 'reed.retire')}
          </ActionButton>
        </Flex>
      )}
    </Flex>
  );
}
