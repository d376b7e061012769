import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useEffectEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { finishLine, isPlayable, lineAddress, lineAfter, useToday, type BadLine } from '../../today/index.ts';
import { familyName } from '../../notation/index.ts';
import { useCountdown } from '../../session/index.ts';
import { ActionButton, ActionLink } from '../../ui/index.ts';

/** Where the line is not known. */
const USUAL_REST_SECONDS = 12;

interface SheetNextProps {
  /** The line of today's sheet that is played. */
  line: string;
  isOver: boolean;
}

/** After a line of today's sheet: it is marked done, what follows is planned anew where it went badly, and after a rest the next one comes by itself. */
export function SheetNext({ line, isOver }: SheetNextProps) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [opened] = useState(() => Date.now());
  const today = useToday(opened);
  const [waits, setWaits] = useState(false);
  const rest = today?.lines.find(({ key }) => key === line)?.restSeconds ?? USUAL_REST_SECONDS;
  const left = useCountdown(rest, isOver && !waits);
  const [badly, setBadly] = useState<BadLine | null>(null);
  const next = today && lineAfter(today, line);
  const to = today && (next && isPlayable(next) ? lineAddress(next, today.horn) : '/today');
  const finish = useEffectEvent(() => {
    if (today) void finishLine(today, line, opened).then(setBadly);
  });
  const isKnown = today !== null;
  // Once, when it is over.
  useEffect(() => {
    if (isOver && isKnown) finish();
  }, [isOver, isKnown]);
  useEffect(() => {
    if (left === 0 && to && !waits) void navigate(to);
  }, [left, to, waits, navigate]);
  if (!isOver || !today || to === null) return null;
  return (
    <Flex gap="5" alignItems="center" wrap="wrap" mb="2" data-testid="sheet-next">
      <Box fontFamily="heading" fontSize="large">
        {next?.family
          ? t('today.next', { name: familyName(next.family, t) })
          : next?.exerciseId
            ? t('today.nextOwn')
            : t('today.lastDone')}
      </Box>
      {badly && (
        <Box w="full" data-testid="went-badly">
          {t('today.wentBadly', { ...badly, name: familyName(badly.family, t) })}
        </Box>
      )}
      {!waits && left !== null && <Box color="muted">{t('today.goesOnIn', { seconds: left })}</Box>}
      <ActionLink to={to}>{t('today.goOn')}</ActionLink>
      {!waits && (
        <ActionButton look="plain" onClick={() => setWaits(true)}>
          {t('today.wait')}
        </ActionButton>
      )}
      <ActionLink look="plain" to="/today">
        {t('today.back')}
      </ActionLink>
    </Flex>
  );
}
