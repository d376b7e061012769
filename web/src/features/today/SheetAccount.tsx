import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { isPlayable, lineOutcome, type Today } from '../../today/index.ts';
import { familyName } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';

/** Under this share of its notes a line is told to come back. */
const COMES_BACK = 0.7;

/** A short account of what is played so far: lines, minutes, notes, and what comes back. */
export function SheetAccount({ today: { lines, sheet, since } }: { today: Today }) {
  const { t } = useTranslation();
  const planned = lines.filter(isPlayable);
  const done = planned.filter(({ key }) => sheet.done.includes(key));
  const minutes = done.reduce((sum, { seconds }) => sum + seconds, 0) / 60;
  const back = done.flatMap((line) => {
    const outcome = lineOutcome(line, since);
    return outcome && line.family && outcome.asWritten < COMES_BACK * outcome.judged
      ? [{ key: line.key, name: familyName(line.family, t), ...outcome }]
      : [];
  });
  return (
    <Box mb="4" role="status" data-testid="account">
      <Box fontFamily="heading" fontSize="large">
        {t('today.account', {
          done: done.length,
          count: planned.length,
          minutes: decimals(minutes, 0),
          of: sheet.minutes,
        })}
      </Box>
      {back.map(({ key, ...told }) => (
        <Box key={key} color="muted">
          {t('today.comesBack', told)}
        </Box>
      ))}
    </Box>
  );
}
