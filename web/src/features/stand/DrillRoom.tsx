import { Box } from '@chakra-ui/react';
import { familyById } from '@inner-hum/core/exercise';
import { useParams } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { useSetup } from '../../session/index.ts';
import { NothingHere } from '../../ui/index.ts';
import { DrillPlay } from './DrillPlay.tsx';
import { NoRoom } from './NoRoom.tsx';

/** The Stand with a drill of a family, where the player's range has room for it. */
export function Component() {
  const setup = useSetup();
  const { familyId = '' } = useParams();
  const family = familyById(familyId);
  if (!setup) return null;
  if (!family)
    return (
      <Box as="main" px={{ base: '4', md: '8' }} pt="6">
        <NothingHere />
      </Box>
    );
  // What speaks is asked of the whole horn, whatever of it is practised now.
  const isHearing = family.home === 'hearing';
  const horn = playersHorn(isHearing ? { ...setup.settings, ranges: {} } : setup.settings);
  const options = family.options(horn);
  return options ? (
    <DrillPlay setup={setup} family={family} horn={horn} options={options} />
  ) : (
    <NoRoom familyId={family.id} horn={horn} naming={setup.settings.naming} />
  );
}
