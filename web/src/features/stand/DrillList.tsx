import { Box, Grid, Heading } from '@chakra-ui/react';
import { FAMILIES } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { ActionLink } from '../../ui/index.ts';

/** The families of drills, each with its one-line purpose. */
export function DrillList() {
  const { t } = useTranslation();
  return (
    <Box as="section" mt="7">
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="2">
        {t('drill.all')}
      </Heading>
      <Grid as="ul" templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="7" rowGap="3">
        {FAMILIES.map(({ id }) => (
          <Box as="li" key={id}>
            <ActionLink look="plain" to={`/stand/drill/${id}`}>
              {t(`familyName.${id}`)}
            </ActionLink>
            <Box color="muted">{t(`familyPurpose.${id}`)}</Box>
          </Box>
        ))}
      </Grid>
    </Box>
  );
}
