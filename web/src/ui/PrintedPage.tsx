import { Box, Flex } from '@chakra-ui/react';
import { Global } from '@emotion/react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';
import { Choice } from './Choice.tsx';
import { PAPERS, PRINTED_WIDTH_PX, type Paper } from './paper.ts';
import { RoomHeading } from './RoomHeading.tsx';

interface PrintedPageProps {
  title: string;
  aside: string;
  paper: Paper;
  /** The way back. */
  back: ReactNode;
  /** Said where there is nothing to print. */
  empty?: string;
  onPaper(paper: Paper): void;
  children: ReactNode;
}

const PAGE_RULE: Record<Paper, string> = { a4: 'A4', letter: 'letter' };

/** Something on paper: what is printed, as wide as it will be, and above it what is not printed. */
export function PrintedPage({ title, aside, paper, back, empty, onPaper, children }: PrintedPageProps) {
  const { t } = useTranslation();
  return (
    <Box as="main" px={{ base: '4', md: '8' }} py="6" _print={{ p: '0' }}>
      <Global styles={{ '@page': { size: PAGE_RULE[paper], margin: '15mm' } }} />
      <Box _print={{ display: 'none' }}>
        <RoomHeading
          title={title}
          aside={aside}
          end={
            <Flex gap="5" alignItems="center" wrap="wrap">
              <Choice
                legend={t('sheet.paper')}
                hideLegend
                value={paper}
                onChange={onPaper}
                options={PAPERS.map((value) => ({ value, label: t(`paper.${value}`) }))}
              />
              <ActionButton look="main" disabled={empty !== undefined} onClick={() => window.print()}>
                {t('shelf.printOne')}
              </ActionButton>
              {back}
            </Flex>
          }
        />
        {empty !== undefined && <Box>{empty}</Box>}
      </Box>
      {empty === undefined && (
        <Box
          bg="sheet"
          color="print"
          w="fit-content"
          maxW="full"
          mx="auto"
          px={{ base: '4', md: '9' }}
          py="8"
          overflowX="auto"
          role="region"
          aria-label={t('sheet.page')}
          // On a small screen it is scrolled, by keys as well.
          tabIndex={0}
          _print={{ p: '0', overflow: 'visible' }}
        >
          <Box style={{ width: PRINTED_WIDTH_PX[paper] }}>{children}</Box>
        </Box>
      )}
    </Box>
  );
}
