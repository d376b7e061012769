import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, RoomHeading, Section } from '../../ui/index.ts';
import { RestoreForm } from './RestoreForm.tsx';
import { CopyFields } from './CopyFields.tsx';
import type { BackupViewProps } from './backupProps.ts';
import { FreeSpaceForm } from './FreeSpaceForm.tsx';
import { RoomLine } from './RoomLine.tsx';
import { SaveFields } from './SaveFields.tsx';
import { QuarantineLines } from './QuarantineLines.tsx';
import { ResultMessages } from './ResultMessages.tsx';

export function BackupView(props: BackupViewProps) {
  const { busy, answer, quarantine, forgotten } = props;
  const { t } = useTranslation();
  return (
    <Box maxW="page">
      <RoomHeading
        help="keeping"
        title={t('keeping.title')}
        aside={t('keeping.aside')}
        end={
          <ActionLink look="plain" to="/case">
            {t('keeping.toCase')}
          </ActionLink>
        }
      />
      <Box role="status">
        {busy && (
          <Box bg="cane" px="4" py="2" mb="4">
            {t(`keeping.busy.${busy.what}`, {
              percent: busy.of === 0 ? 0 : Math.floor((100 * busy.done) / busy.of),
            })}{' '}
            <ActionButton look="plain" onClick={props.onStop}>
              {t('keeping.stop')}
            </ActionButton>
          </Box>
        )}
        {answer && <ResultMessages told={answer} />}
      </Box>
      {!props.stored ? (
        <Box maxW="prose">{t('trouble.storageRefused')}</Box>
      ) : (
        <>
          <RoomLine {...props} />
          <Section title={t('keeping.save')}>
            <SaveFields {...props} />
          </Section>
          <Section title={t('keeping.copies')}>
            <CopyFields {...props} />
          </Section>
          <Section title={t('keeping.back')}>
            <RestoreForm {...props} />
          </Section>
          <Section title={t('keeping.letGo')}>
            <FreeSpaceForm {...props} />
          </Section>
          {(quarantine.length > 0 || forgotten) && (
            <Section title={t('keeping.quarantine')}>
              <QuarantineLines {...props} />
            </Section>
          )}
        </>
      )}
    </Box>
  );
}
