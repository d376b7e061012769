import { Box } from '@chakra-ui/react';
import type { SheetLine } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { useHeadline } from '../../listing/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { takesOfLine } from '../../today/index.ts';

/** What a line that is done came to, in the words of the Stand. */
export function LineHeadline({
  line,
  day,
  settings,
}: {
  line: SheetLine;
  day: string;
  settings: SettingsRecord;
}) {
  const { source, hornId, naming } = settings;
  const takes = useLiveQuery(() => takesOfLine(line, day, { source, hornId }), [line, day, source, hornId]);
  const headline = useHeadline(takes ?? [], naming);
  return headline ? <Box data-testid="line-headline">{headline}</Box> : null;
}
