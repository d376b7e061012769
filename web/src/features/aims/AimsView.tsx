import { Box } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { LogbookLinks, RoomHeading } from '../../ui/index.ts';
import { ShownRow } from '../../listing/index.ts';
import { AimRow } from './AimRow.tsx';
import { NewAim, type AimDraft } from './NewAim.tsx';
import type { Aims } from './useAims.ts';

interface AimsViewProps {
  aims: Aims;
  horn: Horn;
  onAdd(aim: AimDraft): void;
  onFinish(id: string, isDone: boolean): void;
}

export function AimsView({ aims: { settings, aims }, horn, onAdd, onFinish }: AimsViewProps) {
  const { t } = useTranslation();
  return (
    <Box maxW="page">
      <RoomHeading title={t('aim.title')} help="aims" aside={t(`horn.${horn.id}`)} end={<LogbookLinks />} />
      <Box maxW="prose" mb="4">
        {t('aim.how')}
      </Box>
      <NewAim horn={horn} settings={settings} onAdd={onAdd} />
      <Box as="ul" data-testid="aims">
        {aims.map((each) => (
          <li key={each.aim.id}>
            <ShownRow table="aims" id={each.aim.id}>
              <AimRow each={each} naming={settings.naming} onFinish={onFinish} />
            </ShownRow>
          </li>
        ))}
      </Box>
    </Box>
  );
}
