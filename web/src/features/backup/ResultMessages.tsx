import { whyText } from '../../notation/index.ts';
import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { bytesText } from './bytesText.ts';
import type { Told } from './backupProps.ts';

const MOST_LINES = 12;

/** What became of the last thing that was done, in a sentence or two. */
export function ResultMessages({ told }: { told: Told }) {
  const { t } = useTranslation();
  return (
    <Box bg="cane" px="4" py="2" mb="4" data-testid="keeping-told">
      {told.kind === 'saved' && (
        <>
          {t('keeping.told.saved', { count: told.takes, bytes: bytesText(told.bytes) })}{' '}
          {told.silent > 0 && t('keeping.told.silent', { count: told.silent })}{' '}
          {told.damaged > 0 && t('keeping.told.damagedRows', { count: told.damaged })}
        </>
      )}
      {told.kind === 'refused' && t(`keeping.refused.${told.why}`, { name: told.name })}
      {told.kind === 'stopped' && t('keeping.told.stopped')}
      {told.kind === 'copied' && t('keeping.told.copied', { count: told.files })}
      {told.kind === 'copyFailed' && t('keeping.told.copyFailed', { why: told.why })}
      {told.kind === 'putBack' &&
        (told.why === null ? t('keeping.told.putBack') : t('keeping.told.notPutBack', { why: told.why }))}
      {told.kind === 'failed' && t('keeping.told.failed', { why: told.why })}
      {told.kind === 'letGo' && t('keeping.told.letGo', { count: told.takes })}
      {told.kind === 'back' && <BackLines told={told} />}
    </Box>
  );
}

function BackLines({ told: { reports } }: { told: Extract<Told, { kind: 'back' }> }) {
  const { t } = useTranslation();
  const sum = (of: (report: (typeof reports)[number]) => number) =>
    reports.reduce((all, report) => all + of(report), 0);
  const damaged = reports.flatMap((report) => report.damaged);
  return (
    <>
      <Box>
        {t('keeping.told.back', { count: sum(({ takes }) => takes.added) })}{' '}
        {t('keeping.told.same', { count: sum(({ takes }) => takes.same) })}{' '}
        {sum(({ removed }) => removed) > 0 &&
          t('keeping.told.removed', { count: sum(({ removed }) => removed) })}
      </Box>
      {damaged.length > 0 && (
        <>
          <Box mt="2">{t('keeping.told.damaged', { count: damaged.length })}</Box>
          <Box as="ul" wordBreak="break-word">
            {damaged.slice(0, MOST_LINES).map(({ part, why }) => (
              <li key={part + why.text}>
                {part}: {whyText(why, t)}
              </li>
            ))}
          </Box>
        </>
      )}
    </>
  );
}
