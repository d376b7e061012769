import { Box, Flex } from '@chakra-ui/react';
import { HORN_IDS, isHornId } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ActionButton, Choice, DateField, Select } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import type { BackupViewProps } from './backupProps.ts';

/** Everything, or a part of it, as one file. */
export function SaveFields({
  chosen,
  span,
  busy,
  settings,
  sinceArchive,
  onChosen,
  onSave,
}: BackupViewProps) {
  const { t } = useTranslation();
  const { archivedAt } = settings;
  const isPart = chosen.from !== null;
  return (
    <>
      <Box maxW="prose" mb="3">
        {t('keeping.saveHow')}{' '}
        {archivedAt === 0
          ? t('keeping.neverSaved')
          : t('keeping.lastSaved', {
              date: dateText(archivedAt, 'dayYear'),
              count: sinceArchive,
            })}
      </Box>
      <Flex columnGap="6" rowGap="3" wrap="wrap" alignItems="flex-end">
        <Choice
          legend={t('keeping.days')}
          value={isPart ? 'some' : 'all'}
          onChange={(value) =>
            onChosen({
              ...chosen,
              from: value === 'all' ? null : (span?.first ?? null),
              to: value === 'all' ? null : (span?.last ?? null),
            })
          }
          options={(['all', 'some'] as const).map((value) => ({
            value,
            label: t(`keeping.dayChoice.${value}`),
          }))}
        />
        {chosen.from !== null && chosen.to !== null && (
          <>
            <DateField
              label={t('keeping.from')}
              value={chosen.from}
              onChange={(from) => onChosen({ ...chosen, from })}
            />
            <DateField
              label={t('keeping.to')}
              value={chosen.to}
              onChange={(to) => onChosen({ ...chosen, to })}
            />
          </>
        )}
        <Select
          label={t('case.horn')}
          value={chosen.hornId ?? ''}
          onChange={(id) => onChosen({ ...chosen, hornId: isHornId(id) ? id : null })}
          plain={[
            { value: '', label: t('keeping.everyHorn') },
            ...HORN_IDS.map((id) => ({ value: id, label: t(`horn.${id}`) })),
          ]}
        />
        <Choice
          legend={t('keeping.sound')}
          value={chosen.sound ? 'with' : 'without'}
          onChange={(value) => onChosen({ ...chosen, sound: value === 'with' })}
          options={(['with', 'without'] as const).map((value) => ({
            value,
            label: t(`keeping.soundChoice.${value}`),
          }))}
        />
        <ActionButton disabled={busy !== null} onClick={onSave}>
          {t('keeping.saveNow')}
        </ActionButton>
      </Flex>
    </>
  );
}
