import { Box } from '@chakra-ui/react';
import type { Finding, Verdict } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';

/** A finding in words, with its figures. */
export function findingText(finding: Finding, t: TFunction): string {
  switch (finding.kind) {
    case 'jump':
      return t('finding.jump', { partial: finding.to, seconds: finding.atSeconds.toFixed(1) });
    case 'gap':
      return t('finding.gap', {
        seconds: finding.atSeconds.toFixed(1),
        ms: Math.round(finding.lengthMs / 10) * 10,
      });
    case 'response':
      return t('finding.response', { ms: Math.round(finding.ms / 10) * 10 });
    case 'short':
      return t('finding.short', {
        held: finding.heldSeconds.toFixed(1),
        written: finding.writtenSeconds.toFixed(1),
      });
    case 'stair':
      return t('finding.stair', {
        count: finding.count,
        db: finding.worstDb.toFixed(1),
        seconds: finding.atSeconds.toFixed(1),
      });
    case 'peak':
      return t(finding.beats > 0 ? 'finding.peakLate' : 'finding.peakEarly', {
        beats: Math.abs(finding.beats).toFixed(1),
      });
    case 'loudEnd':
    case 'softEnd':
    case 'pitch':
      return t(`finding.${finding.kind}${finding.cents > 0 ? 'Sharp' : 'Flat'}`, {
        count: Math.round(Math.abs(finding.cents)),
      });
    case 'wander':
      return t('finding.wander', { count: Math.round(finding.cents) });
    case 'swellError':
      return t('finding.swellError', { db: finding.db.toFixed(1) });
    case 'even':
      return t('finding.even', { db: finding.errorDb.toFixed(1), count: Math.round(finding.spreadCents) });
  }
}

/** The whole verdict as one line of text, for lists. */
export function verdictText({ findings }: Verdict, t: TFunction): string {
  return findings.map((finding) => findingText(finding, t)).join(' ');
}

/** What stood out, the one thing to try, and the band it was judged by. */
export function VerdictWords({ verdict }: { verdict: Verdict }) {
  const { t } = useTranslation();
  const { pitchCents, swellErrorDb } = verdict.band;
  return (
    <Box>
      <Box as="p" fontFamily="heading" fontSize="large" lineHeight="1.35" maxW="page">
        {verdictText(verdict, t)} {t(`advice.${verdict.advice}`)}
      </Box>
      <Box as="p" color="muted" fontSize="small" mt="1">
        {t('verdict.band', { cents: pitchCents, db: swellErrorDb })}
      </Box>
    </Box>
  );
}
