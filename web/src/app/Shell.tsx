import { Box, chakra, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { NavLink, Outlet, useLocation } from 'react-router';

const ROOMS = ['stand', 'takes', 'map', 'ladder', 'high', 'shelf', 'case'] as const;

/** The rail of rooms beside the room one is in; on a phone the rooms lie below. */
export function Shell() {
  const { t } = useTranslation();
  const { pathname } = useLocation();
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
          px="7"
          pt="7"
          pb="8"
          whiteSpace="pre-line"
        >
          {t('app.nameInTwoLines')}
        </Box>
        <Flex as="ul" direction={{ base: 'row', md: 'column' }} h={{ base: 'full', md: 'auto' }}>
          {ROOMS.map((room) => (
            <Box as="li" key={room} flex={{ base: '1', md: 'none' }}>
              <NavLink to={`/${room}`}>
                {({ isActive }) => (
                  <chakra.span
                    display="flex"
                    alignItems="center"
                    justifyContent={{ base: 'center', md: 'flex-start' }}
                    h={{ base: 'full', md: 'touch' }}
                    minH="touch"
                    pl={{ base: '2', md: '6' }}
                    pr="2"
                    borderLeftWidth={{ md: '4px' }}
                    borderTopWidth={{ base: '4px', md: '0' }}
                    borderStyle="solid"
                    borderColor={isActive ? 'brass' : 'transparent'}
                    color={isActive ? 'ink' : 'muted'}
                    fontWeight={isActive ? 700 : 400}
                  >
                    {t(`rooms.${room}`)}
                  </chakra.span>
                )}
              </NavLink>
            </Box>
          ))}
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
        <Outlet />
      </Box>
    </Flex>
  );
}
