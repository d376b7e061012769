import { Box } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { playersHorn } from '../../addresses/index.ts';
import { ShownRow } from '../../listing/index.ts';
import { addAim, finishAim } from '../../storage/index.ts';
import { LogbookLinks, RoomHeading } from '../../ui/index.ts';
import { AimRow } from './AimRow.tsx';
import { type AimDraft, NewAim } from './NewAim.tsx';
import { type Aims, useAims } from './useAims.ts';

/** What the player wants to reach, and how far it is week by week. */
export function Component() {
  const [now] = useState(() => Date.now());
  const aims = useAims(now);
  if (!aims) return null;
  const { hornId } = aims.settings;
  return (
    <AimsView
      aims={aims}
      horn={playersHorn(aims.settings)}
      onAdd={(aim) => void addAim({ ...aim, hornId, createdAt: Date.now() })}
      onFinish={(id, isDone) => void finishAim(id, isDone ? Date.now() : null)}
    />
  );
}

interface AimsViewProps {
  aims: Aims;
  horn: Horn;
  onAdd(aim: AimDraft): void;
  onFinish(id: string, isDone: boolean): void;
}

function AimsView({ aims: { settings, aims }, horn, onAdd, onFinish }: AimsViewProps) {
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
