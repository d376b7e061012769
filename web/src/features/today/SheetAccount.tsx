import { Box } from '@chakra-ui/react';
import type { Practised, SheetLine } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import type { SheetRecord } from '../../storage/index.ts';

interface SheetAccountProps {
  lines: readonly SheetLine[];
  sheet: SheetRecord;
  since: readonly Practised[];
}

/** A short account of what is played so far. */
export function SheetAccount({ lines, sheet, since }: SheetAccountProps) {
  const { t } = useTranslation();
  const planned = lines.filter(({ family }) => family !== null);
  const done = planned.filter(({ key }) => sheet.done.includes(key));
  const minutes = done.reduce((sum, { seconds }) => sum + seconds, 0) / 60;
  const judged = since.reduce((sum, each) => sum + each.judged, 0);
  const asWritten = since.reduce((sum, each) => sum + each.asWritten, 0);
  return (
    <Box fontFamily="heading" fontSize="large" mb="4" role="status" data-testid="account">
      {t('today.account', {
        done: done.length,
        count: planned.length,
        minutes: minutes.toFixed(0),
        of: sheet.minutes,
      })}{' '}
      {judged > 0 && t('today.accountOf', { asWritten, judged })}
    </Box>
  );
}
