import { Box } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { Finding, TakeAnalysis } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { decimals } from '../words/index.ts';
import { noteText } from './NoteGlyph.tsx';

/** A finding in words, with its figures. */
export function findingText(finding: Finding, naming: NoteNaming, t: TFunction): string {
  switch (finding.kind) {
    case 'jump':
      return t('finding.jump', { partial: finding.to, seconds: decimals(finding.atSeconds, 1) });
    case 'gap':
      return t('finding.gap', {
        seconds: decimals(finding.atSeconds, 1),
        ms: Math.round(finding.lengthMs / 10) * 10,
      });
    case 'response':
      return t('finding.response', { ms: Math.round(finding.ms / 10) * 10 });
    case 'short':
      return t('finding.short', {
        held: decimals(finding.heldSeconds, 1),
        written: decimals(finding.writtenSeconds, 1),
      });
    case 'stair':
      return t('finding.stair', {
        count: finding.count,
        db: decimals(finding.worstDb, 1),
        seconds: decimals(finding.atSeconds, 1),
      });
    case 'peak':
      return t(finding.beats > 0 ? 'finding.peakLate' : 'finding.peakEarly', {
        beats: decimals(Math.abs(finding.beats), 1),
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
    case 'unsteady':
      return t(`finding.${finding.kind}`, { db: decimals(finding.db, 1) });
    case 'even':
      return t('finding.even', { db: decimals(finding.errorDb, 1), count: Math.round(finding.spreadCents) });
    case 'wrongNote':
      return t('finding.wrongNote', { note: noteText(finding.heardMidi, naming) });
    case 'lowPartial':
    case 'highPartial':
      return finding.partial === 1
        ? t('finding.fundamental', { wanted: finding.wanted })
        : t('finding.otherPartial', { partial: finding.partial, wanted: finding.wanted });
    case 'fellBack':
      return t(finding.to === 1 ? 'finding.fellToFundamental' : 'finding.fellBack', {
        partial: finding.to,
        seconds: decimals(finding.atSeconds, 1),
      });
    case 'pitchApart':
      return t(finding.cents > 0 ? 'finding.pitchApartSharp' : 'finding.pitchApartFlat', {
        count: Math.round(Math.abs(finding.cents)),
      });
    case 'colourApart':
      return t('finding.colourApart', { db: decimals(finding.db, 1) });
    case 'matched':
      return t('finding.matched', {
        db: decimals(finding.db, 1),
        count: Math.round(Math.abs(finding.cents)),
      });
    case 'crack':
      return t('finding.crack', { partial: finding.to, seconds: decimals(finding.atSeconds, 1) });
    case 'breath':
    case 'restart':
      return t(`finding.${finding.kind}`, { seconds: decimals(finding.atSeconds, 1) });
    case 'slurGap':
      return t('finding.slurGap', { ms: Math.round(finding.lengthMs / 10) * 10 });
    case 'firstPartial':
      return t('finding.firstPartial', { partial: finding.partial });
    case 'slowSlur':
      return t('finding.slowSlur', { ms: Math.round(finding.ms / 10) * 10 });
    case 'beat':
      return t(finding.ms > 0 ? 'finding.beatLate' : 'finding.beatEarly', {
        ms: Math.round(Math.abs(finding.ms) / 10) * 10,
      });
    case 'overshoot':
      return t('finding.overshoot', { count: Math.round(finding.cents) });
    case 'hum':
    case 'landing':
      return t(`finding.${finding.kind}${finding.cents > 0 ? 'Sharp' : 'Flat'}`, {
        count: Math.round(Math.abs(finding.cents)),
      });
    case 'step':
      return t(finding.db > 0 ? 'finding.stepLouder' : 'finding.stepSofter', {
        db: decimals(Math.abs(finding.db), 1),
      });
    case 'bendShort':
      return t('finding.bendShort', {
        cents: Math.round(finding.cents),
        wanted: Math.round(finding.wantedCents),
      });
    case 'bendBack':
      return t(finding.cents > 0 ? 'finding.bendBackSharp' : 'finding.bendBackFlat', {
        count: Math.round(Math.abs(finding.cents)),
      });
    case 'bent':
      return t('finding.bent', { cents: Math.round(finding.cents) });
    case 'colourStill':
      return t('finding.colourStill', { harmonics: decimals(finding.harmonics, 1) });
    case 'colourMoved':
      return t('finding.colourMoved', {
        harmonics: decimals(finding.harmonics, 1),
        count: Math.round(finding.spreadCents),
      });
    case 'airAgainst':
      return t(finding.db >= 0 ? 'finding.airMore' : 'finding.airLess', {
        db: decimals(Math.abs(finding.db), 1),
      });
    case 'held':
      return finding.cause === 'completed'
        ? t('finding.heldToEnd', { seconds: decimals(finding.seconds, 1) })
        : t('finding.held', { seconds: decimals(finding.seconds, 1), cause: t(`cause.${finding.cause}`) });
    case 'stillFull':
    case 'weakTone':
    case 'subtone':
      return t(`finding.${finding.kind}`, {
        airier: decimals(finding.airierDb, 0),
        softer: decimals(finding.softerDb, 0),
      });
    case 'squawk':
      return t('finding.squawk', { ms: Math.round(finding.ms / 10) * 10 });
    case 'vibratoThere':
    case 'vibrato':
      return t(`finding.${finding.kind}`, {
        hz: decimals(finding.hz, 1),
        cents: Math.round(finding.cents),
        percent: Math.round(100 * finding.regularity),
      });
    case 'vibratoSlow':
    case 'vibratoFast':
      return t(`finding.${finding.kind}`, {
        hz: decimals(finding.hz, 1),
        least: finding.leastHz,
        most: finding.mostHz,
      });
    case 'vibratoUneven':
      return t('finding.vibratoUneven', { percent: Math.round(100 * finding.regularity) });
    case 'missed':
    case 'onlySquawk':
    case 'vibratoMissing':
    case 'gapBreath':
    case 'quiet':
      return t(`finding.${finding.kind}`);
  }
}

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
