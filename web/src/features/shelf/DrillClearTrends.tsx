import { Box } from '@chakra-ui/react';
import { noteTarget, notesOf, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ClearTrend, useRungTries } from '../../listing/index.ts';
import { noteText } from '../../notation/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';

interface DrillClearTrendsProps {
  phrase: Exercise;
  horn: Horn;
  settings: SettingsRecord;
}

/** How long each partial of a drill takes to stand clear, over the days; nothing where there is no second day. */
export function DrillClearTrends({ phrase, horn, settings }: DrillClearTrendsProps) {
  const { t } = useTranslation();
  const tries = useRungTries(settings);
  const rungs = new Map(
    notesOf(scoreOf(phrase)).flatMap(({ item }) => {
      if (item.fingered === null) return [];
      const { partial } = noteTarget(phrase, item, horn.id, settings.a4Hz);
      return [[`${item.fingered}/${partial}`, { fingered: item.fingered, partial }] as const];
    }),
  );
  return (
    <Box mt="6" maxW="panel">
      {[...rungs].map(([key, rung]) => (
        <ClearTrend
          key={key}
          rung={rung}
          tries={tries ?? []}
          label={t('shelf.clearTrend', {
            partial: rung.partial,
            note: noteText(rung.fingered, settings.naming),
          })}
        />
      ))}
    </Box>
  );
}
