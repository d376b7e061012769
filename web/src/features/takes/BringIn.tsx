import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSession } from '../../session/index.ts';
import { ActionLink } from '../../ui/index.ts';
import { bringIn, MOST_MINUTES, type BroughtIn } from './bringIn.ts';

/** A door for a recording of another player, to be laid over one's own takes. */
export function BringIn() {
  const { t } = useTranslation();
  const session = useSession();
  const [told, setTold] = useState<BroughtIn | { kind: 'busy' } | null>(null);
  async function take(file: File) {
    setTold({ kind: 'busy' });
    setTold(await bringIn(file, session));
  }
  return (
    <Box mb="4">
      <chakra.label
        display="inline-flex"
        alignItems="center"
        minH="touch"
        cursor="pointer"
        textDecoration="underline"
        textUnderlineOffset="4px"
        textDecorationColor="brass"
        _focusWithin={{ outline: '3px solid', outlineColor: 'brass' }}
      >
        {t('takes.bringIn')}
        <chakra.input
          type="file"
          accept="audio/*"
          position="absolute"
          w="1px"
          h="1px"
          opacity="0"
          onChange={({ target }) => {
            const file = target.files?.[0];
            if (file) void take(file);
            target.value = '';
          }}
        />
      </chakra.label>
      {told && (
        <Box role="status" bg="cane" px="4" py="2" mt="2">
          {t(`bringIn.${told.kind}`, { minutes: MOST_MINUTES })}{' '}
          {told.kind === 'kept' && (
            <ActionLink look="plain" to={`/takes/${told.takeId}`}>
              {t('bringIn.open')}
            </ActionLink>
          )}
        </Box>
      )}
    </Box>
  );
}
