import { Box } from '@chakra-ui/react';
import { notesOf, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { changeSettings, type SettingsRecord } from '../../storage/index.ts';
import { intervalName, noteText } from '../../notation/index.ts';
import { ActionButton, TextField } from '../../ui/index.ts';

interface IntervalLineProps {
  exercise: Exercise;
  settings: SettingsRecord;
  /** A take runs: nothing is changed then. */
  busy: boolean;
}

const LONGEST_LINE = 60;

/** Which interval is to be imagined, from where to where, where its name may be seen, and what the player remembers it by. */
export function IntervalLine({ exercise, settings, busy }: IntervalLineProps) {
  const { t } = useTranslation();
  const { naming, intervalNames, intervalLines } = settings;
  const [base, top] = notesOf(scoreOf(exercise)).map(({ item }) => item.writtenMidi);
  if (base === undefined || top === undefined) return null;
  const halfSteps = Math.abs(top - base);
  const name = intervalName(halfSteps, t);
  const line = intervalLines[halfSteps] ?? '';
  return (
    <Box data-testid="interval" maxW="noteColumn">
      {intervalNames && (
        <Box fontFamily="heading" fontSize="large" lineHeight="1.2">
          {t('drill.interval', { name, base: noteText(base, naming), top: noteText(top, naming) })}
        </Box>
      )}
      {line !== '' && busy && <Box color="muted">{line}</Box>}
      {!busy && (
        <>
          <ActionButton
            look="plain"
            aria-pressed={intervalNames}
            onClick={() => void changeSettings({ intervalNames: !intervalNames })}
          >
            {t(intervalNames ? 'drill.hideInterval' : 'drill.showInterval')}
          </ActionButton>
          <TextField
            key={halfSteps}
            label={t('drill.intervalLine')}
            value={line}
            maxLength={LONGEST_LINE}
            onDone={(text) =>
              void changeSettings((before) => ({
                intervalLines: { ...before.intervalLines, [halfSteps]: text },
              }))
            }
          />
        </>
      )}
    </Box>
  );
}
