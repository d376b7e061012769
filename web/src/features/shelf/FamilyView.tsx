import { Box, Flex, Heading } from '@chakra-ui/react';
import {
  cautionsOf,
  extentOf,
  phraseExercise,
  readShift,
  tellingPhrase,
  type Choices,
  type Exercise,
  type Family,
  type Options,
} from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Engraving, phrasesOf } from '../../engraving/index.ts';
import { RibbonScore, useElementSize } from '../../ribbon/index.ts';
import { playedAt, type SettingsRecord, type TakeRecord } from '../../storage/index.ts';
import { useHeadline } from '../../listing/index.ts';
import { extentText, familyName } from '../../notation/index.ts';
import {
  ActionButton,
  ActionLink,
  OptionFields,
  RoomHeading,
  ScoreButtons,
  StarButton,
} from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { DrillClearTrends } from './DrillClearTrends.tsx';
import { ScaleEndTable } from './ScaleEndTable.tsx';

interface FamilyViewProps {
  family: Family;
  horn: Horn;
  /** Null where the player's range has no room for it. */
  read: { options: Options; choices: Choices; exercise: Exercise } | null;
  settings: SettingsRecord;
  last: TakeRecord | null;
  isStarred: boolean;
  playAddress: string;
  sheetAddress: string;
  /** Where it is given to somebody else. */
  giveAddress: string;
  /** Softest marks of notes as they lately were; see `OptionFields`. */
  softestMarks: string;
  onChange(change: Choices): void;
  onStar(): void;
  onCopy(): void;
}

/** Lines of music shown before one asks for more. */
const FEW_LINES = 4;
const RIBBON_PX = 90;

export function FamilyView(props: FamilyViewProps) {
  const { family, horn, read, settings, last } = props;
  const { naming, hornId } = settings;
  const { t } = useTranslation();
  const [frame, { width }] = useElementSize();
  const [all, setAll] = useState(false);
  const headline = useHeadline(last ? [last] : [], naming);
  const exercise = read?.exercise ?? null;
  const phrases = useMemo(() => (exercise ? phrasesOf(exercise, hornId) : []), [exercise, hornId]);
  const first = useMemo(() => exercise && phraseExercise(exercise, tellingPhrase(exercise)), [exercise]);
  const shift = exercise ? readShift(exercise, hornId) : 0;
  const name = familyName(family.id, t);
  return (
    <Box maxW="page">
      <RoomHeading
        keepsEnd
        title={name}
        aside={exercise ? extentText(extentOf(exercise), naming, t, shift) : ''}
        end={
          <StarButton
            label={t(props.isStarred ? 'shelf.unstar' : 'shelf.star', { name })}
            on={props.isStarred}
            onToggle={props.onStar}
          />
        }
      />
      <Box fontSize="medium" maxW="prose" mb="5">
        {t(`familyPurpose.${family.id}`)} {t(`familyHow.${family.id}`)}
      </Box>
      {!read || !exercise || !first ? (
        <Box maxW="prose">
          <Box mb="4">{t('shelf.noRoom')}</Box>
          <ActionLink to="/case">{t('drill.toCase')}</ActionLink>
        </Box>
      ) : (
        <>
          <Flex gap="5" mb="6" wrap="wrap" alignItems="center">
            <ActionLink look="main" to={props.playAddress}>
              {t('shelf.play')}
            </ActionLink>
            <ActionLink to={props.sheetAddress}>{t('shelf.printOne')}</ActionLink>
            <ActionLink to={props.giveAddress}>{t('shelf.give')}</ActionLink>
            <ActionButton onClick={props.onCopy}>{t('shelf.copy')}</ActionButton>
            <ScoreButtons exercise={exercise} name={name} hornId={hornId} a4Hz={settings.a4Hz} />
            <ActionLink look="plain" to="/shelf">
              {t('shelf.back')}
            </ActionLink>
          </Flex>
          <Flex columnGap={{ base: '5', md: '7' }} rowGap="4" wrap="wrap" alignItems="flex-start" mb="6">
            <OptionFields
              options={read.options}
              choices={read.choices}
              naming={naming}
              hornId={hornId}
              softestMarks={props.softestMarks}
              onChange={props.onChange}
            />
          </Flex>
          {last?.analysis && (
            <Box mb="5">
              <ActionLink
                look="plain"
                to={last.roundId ? `/takes/round/${last.roundId}` : `/takes/${last.id}`}
              >
                {t('shelf.last', {
                  date: dateText(playedAt(last), 'shortDay'),
                  verdict: headline ?? '',
                })}
              </ActionLink>
            </Box>
          )}
          <RibbonScore
            exercise={first}
            hornId={hornId}
            height={RIBBON_PX}
            label={t('shelf.shape', { name })}
          />
          <Box ref={frame} mt="4">
            <Engraving
              naming={naming}
              phrases={phrases}
              width={width}
              mostLines={all ? Infinity : FEW_LINES}
              label={t('shelf.music', { name, count: phrases.length })}
            />
          </Box>
          {!all && phrases.length > FEW_LINES && (
            <ActionButton look="plain" onClick={() => setAll(true)}>
              {t('shelf.allMusic', { count: phrases.length })}
            </ActionButton>
          )}
          {family.skill === 'overtone' && <DrillClearTrends phrase={first} horn={horn} settings={settings} />}
          {family.table === 'scaleEnds' && <ScaleEndTable horn={horn} naming={naming} />}
          {cautionsOf(exercise).length > 0 && (
            <Box mt="6" maxW="prose" color="muted">
              <Heading as="h2" fontFamily="heading" fontSize="medium" color="ink">
                {t('case.care')}
              </Heading>
              {cautionsOf(exercise).map((caution) => (
                <Box key={caution}>{t(`care.${caution}`)}</Box>
              ))}
            </Box>
          )}
        </>
      )}
    </Box>
  );
}
