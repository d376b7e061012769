import { Box, chakra, Heading } from '@chakra-ui/react';
import type { TakeAnalysis, TakeEvent } from '@inner-hum/core/judge';
import { MAX_SAG_CENTS } from '@inner-hum/core/tone';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { decimals } from '../../words/index.ts';

function releaseText(sagCents: number | null, t: TFunction): string {
  return sagCents !== null && sagCents > MAX_SAG_CENTS
    ? t('event.sagged', { cents: Math.round(sagCents) })
    : t('event.faded');
}

/** An event in words; onset and end are seen and need none. */
export function eventText(event: TakeEvent, t: TFunction): string | null {
  switch (event.type) {
    case 'jump':
    case 'crack':
      return t(`event.${event.type}`, { to: event.to, ms: Math.round(1000 * event.lengthSeconds) });
    case 'breath':
      return t('event.breath');
    case 'gap':
      return t('event.gap', { ms: Math.round(1000 * event.lengthSeconds) });
    case 'squeak':
      return t('event.squeak', { ms: Math.round(1000 * event.lengthSeconds) });
    case 'degrade':
      // A slip and a gap are told themselves.
      return event.cause === 'partial' || event.cause === 'gap'
        ? null
        : t('event.degrade', { cause: t(`cause.${event.cause}`) });
    case 'release':
      return event.clean ? null : releaseText(event.sagCents, t);
    case 'stair':
      return t('event.stair', { seconds: decimals(event.lengthSeconds, 1), db: decimals(event.stepDb, 1) });
    default:
      return null;
  }
}

/** What happened and when, counted from the start of the tone; each line leads the cursor there. */
export function EventList({
  analysis,
  onCursor,
}: {
  analysis: TakeAnalysis;
  onCursor(seconds: number): void;
}) {
  const { t } = useTranslation();
  const onset = analysis.events.find(({ type }) => type === 'toneOnset')?.timeSeconds ?? 0;
  const told = analysis.events.flatMap((event) => {
    const text = eventText(event, t);
    return text === null ? [] : [{ event, text }];
  });
  return (
    <Box>
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="2">
        {t('take.happened')}
      </Heading>
      {told.length === 0 && <Box color="muted">{t('take.nothingHappened')}</Box>}
      <Box as="ul">
        {told.map(({ event, text }) => (
          <li key={`${event.type} ${event.timeSeconds}`}>
            <chakra.button
              type="button"
              minH="touch"
              textAlign="left"
              cursor="pointer"
              data-event={event.type}
              onClick={() => onCursor(event.timeSeconds)}
            >
              <strong>{t('take.at', { seconds: decimals(event.timeSeconds - onset, 2) })}</strong> {text}
            </chakra.button>
          </li>
        ))}
      </Box>
    </Box>
  );
}
