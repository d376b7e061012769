import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  ArrowUpToLine,
  AudioLines,
  BriefcaseBusiness,
  ChartNoAxesColumn,
  ChartNoAxesGantt,
  Ellipsis,
  LibraryBig,
  ListChecks,
  Music,
  NotebookPen,
  Search,
  type LucideIcon,
} from 'lucide-react';
import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense } from 'react';
import { useTranslation } from 'react-i18next';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { readSettings } from '../storage/index.ts';
import { usePrintedKey } from '../ui/index.ts';
import { hasBooks, listBooks } from '../books/books.ts';
import { OpenedFiles } from './OpenedFiles.tsx';
import { Notices } from './Notices.tsx';
import { isDemo } from './mode.ts';
import { stopAddress } from './tour.ts';
import { TourBar } from './TourBar.tsx';

const BookChoice = lazy(() => import('../books/BookChoice.tsx'));

const ROOMS = [
  'today',
  'stand',
  'takes',
  'map',
  'ladder',
  'high',
  'shelf',
  'logbook',
  'case',
  'find',
] as const;
type Room = (typeof ROOMS)[number];

const ICONS: Record<Room, LucideIcon> = {
  today: ListChecks,
  stand: Music,
  takes: AudioLines,
  map: ChartNoAxesColumn,
  ladder: ChartNoAxesGantt,
  high: ArrowUpToLine,
  shelf: LibraryBig,
  logbook: NotebookPen,
  case: BriefcaseBusiness,
  find: Search,
};
const ICON_PX = 18;
/** On a phone there is room for so many below; the others are behind one more place. */
const PLACES = 4;

/** The rail of rooms beside the room one is in; on a phone the rooms lie below. */
export function Shell() {
  const { t } = useTranslation();
  const { pathname } = useLocation();
  useFindKey();
  // A player in an exercise sees the music, not the house.
  if (pathname.startsWith('/stand/')) return <Outlet />;
  return (
    <Flex minH="screen" direction={{ base: 'column-reverse', md: 'row' }}>
      <Box
        as="nav"
        aria-label={t('rooms.label')}
        position={{ base: 'fixed', md: 'sticky' }}
        bottom={{ base: '0', md: 'auto' }}
        top={{ md: '0' }}
        zIndex="1"
        w={{ base: 'full', md: 'rail' }}
        h={{ base: 'places', md: 'screen' }}
        flexShrink="0"
        bg="paper"
        borderRightWidth={{ md: '1px' }}
        borderTopWidth={{ base: '1px', md: '0' }}
        borderStyle="solid"
        borderColor="line"
      >
        <Box
          display={{ base: 'none', md: 'block' }}
          fontFamily="heading"
          fontSize="large"
          lineHeight="1.05"
          px="4"
          pt="7"
          pb="8"
          whiteSpace="pre-line"
        >
          {t('app.nameInTwoLines')}
        </Box>
        <Box display={{ base: 'none', md: 'block' }}>
          <OtherBooks />
          {isDemo && (
            <Box px="4" pb="4">
              <NavLink to={stopAddress(0)}>{t('tour.begin')}</NavLink>
            </Box>
          )}
        </Box>
        <Flex as="ul" direction={{ base: 'row', md: 'column' }} h={{ base: 'full', md: 'auto' }}>
          {ROOMS.map((room, i) => (
            <Box
              as="li"
              key={room}
              flex={{ base: '1', md: 'none' }}
              display={{ base: i < PLACES ? 'block' : 'none', md: 'block' }}
            >
              <RoomLink room={room} />
            </Box>
          ))}
          <Box as="li" flex="1" display={{ md: 'none' }}>
            {/* Closed again wherever one goes. */}
            <MorePlaces key={pathname} pathname={pathname} />
          </Box>
        </Flex>
      </Box>
      <Box
        as="main"
        flex="1"
        minW="0"
        px={{ base: '4', md: '8' }}
        pt="6"
        pb={{ base: '9', md: '6' }}
        mb={{ base: '6', md: '0' }}
      >
        <OpenedFiles />
        {isDemo && <TourBar />}
        <Notices />
        <Outlet />
      </Box>
    </Flex>
  );
}

/** The way to other books, where there are any. */
function OtherBooks() {
  if (!hasBooks || listBooks().length < 2) return null;
  return (
    <Suspense fallback={null}>
      <BookChoice />
    </Suspense>
  );
}

/** One key that looks for anything, where single keys are on. */
function useFindKey() {
  const navigate = useNavigate();
  const settings = useLiveQuery(readSettings);
  usePrintedKey('/', () => void navigate('/find'), settings?.singleKeys ?? false);
}

function RoomLink({ room }: { room: Room }) {
  const { t } = useTranslation();
  return (
    <NavLink to={`/${room}`}>
      {({ isActive }) => (
        <Place isActive={isActive} icon={ICONS[room]}>
          {t(`rooms.${room}`)}
        </Place>
      )}
    </NavLink>
  );
}

interface PlaceProps {
  isActive: boolean;
  icon: LucideIcon;
  children: string;
}

function Place({ isActive, icon: Icon, children }: PlaceProps) {
  return (
    <chakra.span
      display="flex"
      flexDirection={{ base: 'column', md: 'row' }}
      columnGap="2"
      fontSize={{ base: 'small', md: 'normal' }}
      alignItems="center"
      justifyContent={{ base: 'center', md: 'flex-start' }}
      h={{ base: 'full', md: 'touch' }}
      minH="touch"
      pl={{ base: '0', md: '3' }}
      pr={{ base: '0', md: '2' }}
      borderLeftWidth={{ md: '4px' }}
      borderTopWidth={{ base: '4px', md: '0' }}
      borderStyle="solid"
      borderColor={isActive ? 'brass' : 'transparent'}
      color={isActive ? 'ink' : 'muted'}
      fontWeight={isActive ? 700 : 400}
      whiteSpace="nowrap"
    >
      <Icon size={ICON_PX} strokeWidth={1.5} aria-hidden="true" style={{ flexShrink: 0 }} />
      {children}
    </chakra.span>
  );
}

/** The rooms that have no place of their own on a phone. */
function MorePlaces({ pathname }: { pathname: string }) {
  const { t } = useTranslation();
  const rooms = ROOMS.slice(PLACES);
  return (
    <chakra.details h="full" position="relative">
      <chakra.summary h="full" listStyleType="none" cursor="pointer">
        <Place isActive={rooms.some((room) => pathname.startsWith(`/${room}`))} icon={Ellipsis}>
          {t('rooms.more')}
        </Place>
      </chakra.summary>
      <Box
        as="ul"
        position="absolute"
        style={{ bottom: '100%' }}
        right="0"
        minW="field"
        bg="paper"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="line"
      >
        {rooms.map((room) => (
          <li key={room}>
            <RoomLink room={room} />
          </li>
        ))}
        <li>
          <OtherBooks />
        </li>
      </Box>
    </chakra.details>
  );
}
