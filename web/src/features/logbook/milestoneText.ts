import type { NoteNaming } from '@inner-hum/core/horn';
import type { Milestone } from '@inner-hum/core/practice';
import type { TFunction } from 'i18next';
import { signedNote } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';

/** What was reached, in one plain sentence. */
export function milestoneText(milestone: Milestone, naming: NoteNaming, t: TFunction): string {
  const { writtenMidi, fingeredMidi } = milestone;
  const written = signedNote(writtenMidi, naming);
  const note =
    writtenMidi === fingeredMidi
      ? written
      : t('logbook.from', { note: written, tube: signedNote(fingeredMidi, naming) });
  switch (milestone.kind) {
    case 'first':
      return t('logbook.reached.first', {
        note,
        skill: t(`logbook.kindOf.${milestone.skill}`),
        count: milestone.tries,
      });
    case 'secure':
      return t('logbook.reached.secure', {
        note,
        skill: t(`logbook.kindOf.${milestone.skill}`),
        asWritten: milestone.asWritten,
        tries: milestone.tries,
        asWrittenBefore: milestone.asWrittenBefore,
        before: milestone.before,
      });
    case 'longest':
      return t('logbook.reached.longest', {
        zone: t(`today.zone.${milestone.zone}`),
        seconds: decimals(milestone.seconds, 1),
        note,
        before: decimals(milestone.secondsBefore, 1),
      });
    case 'highest':
      return t('logbook.reached.highest', { note });
  }
}
