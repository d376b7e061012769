import { Box, chakra, Flex } from '@chakra-ui/react';
import { phraseExercise, tellingPhrase } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { Engraving, phrasesOf } from '../../engraving/index.ts';
import { RibbonScore } from '../../ribbon/index.ts';
import { playedAt, type SettingsRecord, type TakeRecord } from '../../storage/index.ts';
import { useHeadline } from '../../listing/index.ts';
import { exerciseName, extentText } from '../../notation/index.ts';
import { ActionLink, StarButton, useNarrow } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import type { ShelfEntry } from '../../listing/index.ts';

interface ShelfRowProps {
  entry: ShelfEntry;
  last: TakeRecord | null;
  settings: SettingsRecord;
  isStarred: boolean;
  onStar(): void;
}

const NameLink = chakra(Link);
const MUSIC_PX = 300;
const MUSIC_SCALE = 0.62;
const RIBBON_PX = 64;
/** More than this does not fit on the line anyway. */
const MOST_PHRASES = 2;

/** One exercise: its music, its name and purpose, what it takes, how it went last, its shape on the ribbon. */
export function ShelfRow({ entry, last, settings, isStarred, onStar }: ShelfRowProps) {
  const { t } = useTranslation();
  const narrow = useNarrow();
  const { hornId, naming } = settings;
  const { written, familyId } = entry;
  const headline = useHeadline(last ? [last] : [], naming);
  const exercise = written?.exercise ?? null;
  const phrases = useMemo(
    () => (exercise ? phrasesOf(exercise, hornId, MOST_PHRASES) : []),
    [exercise, hornId],
  );
  const first = useMemo(() => exercise && phraseExercise(exercise, tellingPhrase(exercise)), [exercise]);
  const name = familyId ? t(`familyName.${familyId}`) : exercise ? exerciseName(exercise, t) : '';
  return (
    <Box
      as="li"
      data-shelf={entry.key}
      display="grid"
      // On a tablet held upright the music has a line of its own.
      gridTemplateColumns={{ base: 'minmax(0, 1fr) auto', lg: `${MUSIC_PX}px minmax(0, 1fr) 120px auto` }}
      columnGap={{ base: '3', md: '6' }}
      rowGap="2"
      alignItems="center"
      py="3"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
    >
      {!narrow && (
        <Box overflow="hidden" aria-hidden="true" gridColumn={{ base: '1 / -1', lg: 'auto' }}>
          <Engraving
            naming={naming}
            phrases={phrases}
            width={MUSIC_PX}
            scale={MUSIC_SCALE}
            mostLines={1}
            label=""
          />
        </Box>
      )}
      <Box minW="0">
        <NameLink to={entry.openAddress} fontFamily="heading" fontSize="large" lineHeight="1.25">
          {name}
        </NameLink>
        {familyId && <Box>{t(`familyPurpose.${familyId}`)}</Box>}
        <Box color="muted" fontSize="small">
          {written ? extentText(written.extent, naming, t, entry.shift) : t('shelf.noRoom')}
        </Box>
        {last?.analysis && headline !== undefined && (
          <Box color="muted" fontSize="small" data-testid="last-result">
            {t('shelf.last', {
              date: dateText(playedAt(last), 'shortDay'),
              verdict: headline,
            })}
          </Box>
        )}
      </Box>
      {!narrow && (
        <Box display={{ base: 'none', lg: 'block' }}>
          {first && (
            <RibbonScore
              exercise={first}
              hornId={hornId}
              height={RIBBON_PX}
              label={t('shelf.shape', { name })}
            />
          )}
        </Box>
      )}
      <Flex alignItems="center" gap="2">
        <StarButton
          label={t(isStarred ? 'shelf.unstar' : 'shelf.star', { name })}
          on={isStarred}
          onToggle={onStar}
        />
        {written && (
          <ActionLink to={entry.playAddress} aria-label={t('shelf.playThis', { name })}>
            {t('shelf.play')}
          </ActionLink>
        )}
      </Flex>
    </Box>
  );
}
