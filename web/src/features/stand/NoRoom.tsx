import { Box, Flex } from '@chakra-ui/react';
import type { FamilyId } from '@inner-hum/core/exercise';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { familyName, shortNote } from '../../notation/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';

interface NoRoomProps {
  familyId: FamilyId;
  horn: Horn;
  naming: NoteNaming;
}

/** A drill that the player's own range has no room for: why, and the two ways on. */
export function NoRoom({ familyId, horn, naming }: NoRoomProps) {
  const { t } = useTranslation();
  const range = `${shortNote(horn.lowest, naming)} – ${shortNote(horn.highest, naming)}`;
  return (
    <Box as="main" px={{ base: '4', md: '8' }} pt="6" maxW="prose">
      <RoomHeading title={familyName(familyId, t)} />
      <Box fontSize="medium" mb="5">
        {t('drill.noRoom', { range })}
      </Box>
      <Flex gap="5">
        <ActionLink to="/case">{t('drill.toCase')}</ActionLink>
        <ActionLink to="/shelf">{t('drill.toShelf')}</ActionLink>
      </Flex>
    </Box>
  );
}
