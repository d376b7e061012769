import { Box, Flex } from '@chakra-ui/react';
import { type Exercise, familyById, phraseExercise, skillOf, tellingPhrase } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import type { SheetLine } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import { RibbonScore } from '../../ribbon/index.ts';
import { lineAddress } from '../../today/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { exerciseName, familyName, nameOnNote } from '../../notation/index.ts';
import { ActionButton, ActionLink } from '../../ui/index.ts';
import { LineHeadline } from './LineHeadline.tsx';
import { reasonText } from './reasonText.ts';

/** The phrase that tells what a line is; null where there is nothing written, or a family has no room on this horn. */
function lineShape(
  { family: id, item }: Pick<SheetLine, 'family' | 'item'>,
  own: Exercise | null,
  horn: Horn,
): Exercise | null {
  if (own) return phraseExercise(own, tellingPhrase(own));
  const family = id && familyById(id);
  if (!family) return null;
  const whole = family.build(horn, item?.choices);
  return phraseExercise(whole, tellingPhrase(whole));
}

interface LineRowProps {
  line: SheetLine;
  /** Of an own exercise; null where it is not there any more, or the line is of a family. */
  own: Exercise | null;
  /** `yyyy-MM-dd`: the day of the sheet. */
  day: string;
  place: number;
  horn: Horn;
  settings: SettingsRecord;
  isDone: boolean;
  isNext: boolean;
  isKept: boolean;
  onKeep(): void;
  onNotToday(): void;
}

const RIBBON_PX = 46;

/** Minutes and seconds, to five seconds. */
function clockText(seconds: number): string {
  const rounded = 5 * Math.round(seconds / 5);
  return `${Math.floor(rounded / 60)}:${String(rounded % 60).padStart(2, '0')}`;
}

const plainName = ({ exerciseId }: SheetLine) =>
  exerciseId ? ('today.exerciseGone' as const) : ('today.free' as const);

/** A line of the sheet: its shape, how long it takes, and why it is there. */
export function LineRow(props: LineRowProps) {
  const { line, own, day, place, horn, settings, isDone, isNext, isKept, onKeep, onNotToday } = props;
  const { t } = useTranslation();
  const { family: id, item, reason, seconds, key } = line;
  const exercise = lineShape(line, own, horn);
  const plain = id ? familyName(id, t) : own ? exerciseName(own, t) : t(plainName(line));
  const name = nameOnNote(plain, item?.choices.note, settings.naming, t);
  const canChange = reason.kind !== 'opening' && reason.kind !== 'free' && !isDone;
  return (
    <Flex
      as="li"
      columnGap="5"
      rowGap="0"
      py="3"
      alignItems="center"
      wrap={{ base: 'wrap', lg: 'nowrap' }}
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor={isNext ? 'brass' : 'transparent'}
      pl="3"
      color={isDone ? 'muted' : 'ink'}
      data-line={key}
    >
      <Box fontFamily="heading" fontSize="large" w="places" flexShrink="0">
        {clockText(seconds)}
      </Box>
      <Box w="field" flexShrink="0" display={{ base: 'none', md: 'block' }}>
        {exercise && (
          <RibbonScore
            exercise={exercise}
            hornId={settings.hornId}
            height={RIBBON_PX}
            label={t('today.shape', { name })}
          />
        )}
      </Box>
      <Box flex="1" minW={{ base: 'quarter', lg: '0' }}>
        <Box fontFamily="heading" fontSize="large" lineHeight="1.2">
          {place}. {name} {isDone && <Box as="span">{t('today.done')}</Box>}
        </Box>
        {isDone ? (
          <LineHeadline line={line} day={day} settings={settings} />
        ) : (
          <Box color="muted">{reasonText(reason, skillOf(id) === 'start', settings.naming, t)}</Box>
        )}
      </Box>
      <Flex gap="3" flexShrink="0" wrap="wrap" w={{ base: 'full', lg: 'auto' }} justifyContent="flex-end">
        {canChange && (
          <>
            {reason.kind !== 'routine' && (
              <ActionButton look="plain" aria-pressed={isKept} onClick={onKeep}>
                {t(isKept ? 'today.letGo' : 'today.keep')}
              </ActionButton>
            )}
            <ActionButton look="plain" onClick={onNotToday}>
              {t('today.notToday')}
            </ActionButton>
          </>
        )}
        <ActionLink look="plain" to={lineAddress(line, horn)} aria-label={t('today.play', { name })}>
          {t('today.playIt')}
        </ActionLink>
      </Flex>
    </Flex>
  );
}
