import { Box, Flex } from '@chakra-ui/react';
import { notesOf, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { changeSettings, type SettingsRecord } from '../../storage/index.ts';
import { intervalName, noteText } from '../../notation/index.ts';
import { ActionButton, TextField } from '../../ui/index.ts';

interface IntervalProps {
  exercise: Exercise;
  settings: SettingsRecord;
}

const LONGEST_LINE = 60;

/** The two notes that are to be imagined; null where there are no two. */
function intervalOf(exercise: Exercise) {
  const [base, top] = notesOf(scoreOf(exercise)).map(({ item }) => item.writtenMidi);
  return base === undefined || top === undefined ? null : { base, top, halfSteps: Math.abs(top - base) };
}

/** Which interval is to be imagined, where its name may be seen, and, while one plays, what the player remembers it by. */
export function IntervalName({ exercise, settings, busy }: IntervalProps & { busy: boolean }) {
  const { t } = useTranslation();
  const { naming, intervalNames, intervalLines } = settings;
  const interval = intervalOf(exercise);
  if (!interval) return null;
  const { base, top, halfSteps } = interval;
  const line = intervalLines[halfSteps] ?? '';
  return (
    <Box data-testid="interval" maxW="noteColumn">
      {intervalNames && (
        <Box fontFamily="heading" fontSize="large" lineHeight="1.2">
          {t('drill.interval', {
            name: intervalName(halfSteps, t),
            base: noteText(base, naming),
            top: noteText(top, naming),
          })}
        </Box>
      )}
      {line !== '' && busy && <Box color="muted">{line}</Box>}
    </Box>
  );
}

/** Whether intervals are named, and what the player remembers this one by. */
export function IntervalFields({ exercise, settings }: IntervalProps) {
  const { t } = useTranslation();
  const { intervalNames, intervalLines } = settings;
  const interval = intervalOf(exercise);
  if (!interval) return null;
  const { halfSteps } = interval;
  return (
    <Flex columnGap="5" wrap="wrap" alignItems="flex-end" mb="2">
      <TextField
        key={halfSteps}
        label={t('drill.intervalLine')}
        value={intervalLines[halfSteps] ?? ''}
        maxLength={LONGEST_LINE}
        onDone={(text) =>
          void changeSettings((before) => ({
            intervalLines: { ...before.intervalLines, [halfSteps]: text },
          }))
        }
      />
      <ActionButton
        look="plain"
        aria-pressed={intervalNames}
        onClick={() => void changeSettings({ intervalNames: !intervalNames })}
      >
        {t(intervalNames ? 'drill.hideInterval' : 'drill.showInterval')}
      </ActionButton>
    </Flex>
  );
}
