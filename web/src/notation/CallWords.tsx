import { Box } from '@chakra-ui/react';
import { measuredSide, type PitchGuess, type GuessedEnd, type TakeMeasures } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';

const ENDS: readonly GuessedEnd[] = ['soft', 'loud', 'whole'];

/** What the player called, beside what was measured. */
export function CallWords({ call, measures }: { call: PitchGuess; measures: TakeMeasures }) {
  const { t } = useTranslation();
  const lines = ENDS.flatMap((end) => {
    const called = call[end];
    const measured = measuredSide(measures, end);
    return called && measured ? [{ end, called, measured }] : [];
  });
  if (lines.length === 0) return null;
  const right = lines.filter(({ called, measured }) => called === measured).length;
  return (
    <Box mb="2" fontSize="medium" data-testid="call-words">
      {t('callIt.called', { count: right, asked: lines.length })}{' '}
      {lines
        .filter(({ called, measured }) => called !== measured)
        .map(({ end, called, measured }) =>
          t('callIt.line', {
            end: t(`callIt.end.${end}`),
            called: t(`callIt.${called}`),
            measured: t(`callIt.${measured}`),
          }),
        )
        .join(' ')}
    </Box>
  );
}
