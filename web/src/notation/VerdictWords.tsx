import { Box } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { findingText } from './findingText.ts';
import { noteText } from './NoteGlyph.tsx';

type Judged = Pick<TakeAnalysis, 'verdict' | 'items'>;

/** The whole verdict as one line of text, for lists; in a line of notes each finding is said of its note. */
export function verdictText({ verdict, items }: Judged, naming: NoteNaming, t: TFunction): string {
  const { findings, of, judged, asWritten } = verdict;
  if (judged <= 1) return findings.map((finding) => findingText(finding, naming, t)).join(' ');
  const count = t('verdict.asWritten', { count: asWritten, judged });
  if (asWritten === judged) return count;
  const told = findings.map((finding, i) => {
    const item = items.at(of[i]);
    const name =
      item && 'writtenMidi' in item ? noteText(item.writtenMidi, naming) : t(`item.${item?.kind ?? 'note'}`);
    return t('verdict.of', { name, finding: findingText(finding, naming, t) });
  });
  return [count, ...told].join(' ');
}

/** What stood out, the one thing to try, and the band it was judged by. */
export function VerdictWords({ analysis, naming }: { analysis: Judged; naming: NoteNaming }) {
  const { t } = useTranslation();
  const { pitchCents, swellErrorDb } = analysis.verdict.band;
  return (
    <Box>
      <Box as="p" fontFamily="heading" fontSize="large" lineHeight="1.35" maxW="page">
        {verdictText(analysis, naming, t)} {t(`advice.${analysis.verdict.advice}`)}
      </Box>
      <Box as="p" color="muted" fontSize="small" mt="1">
        {t('verdict.band', { cents: pitchCents, db: swellErrorDb })}
      </Box>
    </Box>
  );
}
