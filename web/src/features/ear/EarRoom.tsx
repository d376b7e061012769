import { Box, chakra, Heading } from '@chakra-ui/react';
import { earScore, type EarScore, type HumScore, type Share, unpackNotes } from '@inner-hum/core/practice';
import { subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import type { TFunction } from 'i18next';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { dayOf, listPractice, readSettings } from '../../storage/index.ts';
import { ActionLink, LogbookLinks, RoomHeading } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';

/** An ear of longer ago was another one. */
const LOOKS_BACK_YEARS = 2;

/** How truly the player hears pitch: calls over blind takes, and hums. */
export function Component() {
  const score = useLiveQuery(async () => {
    const { source } = await readSettings();
    const practice = await listPractice(
      source,
      dayOf(subYears(Date.now(), LOOKS_BACK_YEARS)),
      dayOf(Date.now()),
    );
    return earScore(
      practice.flatMap(({ calls }) => calls),
      practice.flatMap(unpackNotes),
    );
  });
  return score ? <EarView score={score} /> : null;
}

/** A share with how surely it is known: the dot is the share, the thick part where it may lie. */
function ShareBar({ right, asked, interval }: Share) {
  const at = (share: number) => `${100 * share}%`;
  return (
    <chakra.svg w={{ base: 'shareNarrow', md: 'share' }} h="14px" aria-hidden="true">
      <chakra.line x1="0%" x2="100%" y1={7} y2={7} stroke="line" strokeWidth="1.5px" />
      {interval && (
        <chakra.line
          x1={at(interval.low)}
          x2={at(interval.high)}
          y1={7}
          y2={7}
          stroke="brass"
          strokeWidth="4px"
        />
      )}
      <chakra.circle cx={at(right / asked)} cy={7} r={5} fill="ink" />
    </chakra.svg>
  );
}

function EarView({ score: { all, zones, sides, months, hums } }: { score: EarScore }) {
  const { t } = useTranslation();
  const row = (name: string, share: Share, more = ''): ReactNode => (
    <tr key={name}>
      <chakra.th scope="row" textAlign="left" fontWeight="400" py="1" pr="5" minW={{ md: 'tryColumn' }}>
        {name}
      </chakra.th>
      <chakra.td pr={{ base: '3', md: '5' }}>
        <ShareBar {...share} />
      </chakra.td>
      <td>
        {t('ear.of', {
          right: share.right,
          count: share.asked,
          low: Math.round(100 * (share.interval?.low ?? 0)),
          high: Math.round(100 * (share.interval?.high ?? 1)),
        })}
        {more && `; ${more}`}
      </td>
    </tr>
  );
  const table = (title: string, rows: ReactNode) => (
    <Box as="section" mb="6" overflowX="auto">
      <Heading as="h2" fontSize="large" mb="2">
        {title}
      </Heading>
      <chakra.table borderCollapse="collapse">
        <tbody>{rows}</tbody>
      </chakra.table>
    </Box>
  );
  return (
    <Box maxW="page">
      <RoomHeading title={t('ear.title')} help="ear" end={<LogbookLinks />} />
      <Box maxW="prose" mb="5">
        {t('ear.how')}
      </Box>
      {all.asked === 0 ? (
        <Box maxW="prose" mb="5">
          <Box mb="4">{t('ear.empty')}</Box>
          <ActionLink look="main" to="/stand/swell">
            {t('free.swell')}
          </ActionLink>
        </Box>
      ) : (
        <>
          {table(t('ear.all'), row(t('ear.calls'), all))}
          {table(
            t('ear.bySide'),
            sides.map((share) => {
              const taken = Object.entries(share.takenFor)
                .filter(([, count]) => count > 0)
                .map(([side, count]) =>
                  t('ear.takenFor', { side: t(`callIt.${side as 'sharp' | 'true' | 'flat'}`), count }),
                )
                .join(', ');
              return row(t(`ear.side.${share.side}`), share, taken);
            }),
          )}
          {table(
            t('ear.byZone'),
            zones.map((share) => row(t(`logbook.row.${share.zone}`), share)),
          )}
          {months.length > 1 &&
            table(
              t('ear.byTime'),
              months.map((share) => row(t('ear.from', { date: dateText(share.at, 'day') }), share)),
            )}
        </>
      )}
      <Box as="section">
        <Heading as="h2" fontSize="large" mb="2">
          {t('ear.hums')}
        </Heading>
        {hums.all.count === 0 ? (
          t('ear.noHums')
        ) : (
          <ul>
            {[
              humText(t('ear.allHums'), hums.all, t),
              ...hums.zones.map((each) => humText(t(`logbook.row.${each.zone}`), each, t)),
              ...(hums.months.length > 1
                ? hums.months.map((each) =>
                    humText(t('ear.from', { date: dateText(each.at, 'day') }), each, t),
                  )
                : []),
            ].map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
      </Box>
    </Box>
  );
}

const humText = (name: string, { cents, count, sharp, flat }: HumScore, t: TFunction) =>
  t('ear.humsOff', { name, cents: Math.round(cents ?? 0), count, sharp, flat });
