import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { ActionLink } from '../../ui/index.ts';
import type { HornMap } from './useHornMap.ts';

const SHOWN = 3;

/** Likely causes in a line each, and the way to their evidence. */
export function FindingLines({ data }: { data: HornMap }) {
  const { t } = useTranslation();
  // What was put aside comes back when its evidence, and so its key, changes.
  const { dismissedFindings } = data.settings;
  const open = data.findings.filter(({ key }) => !dismissedFindings.includes(key));
  return (
    <>
      {open.length === 0 ? (
        <Box>{t('suspect.none')}</Box>
      ) : (
        <Box as="ul" data-testid="findings">
          {open.slice(0, SHOWN).map(({ key, cause }) => (
            <li key={key}>{t(`suspect.name.${cause}`)}</li>
          ))}
        </Box>
      )}
      {data.findings.length > 0 && (
        <ActionLink look="plain" to="/map/findings">
          {t('suspect.evidence')}
        </ActionLink>
      )}
    </>
  );
}
