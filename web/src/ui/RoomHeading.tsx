import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The name of a room or take, with a quiet line beside it. */
export function RoomHeading({ title, aside, end }: { title: ReactNode; aside?: ReactNode; end?: ReactNode }) {
  return (
    <Flex alignItems="baseline" gap="5" wrap="wrap" mb="5">
      <Heading as="h1" fontSize="title" fontFamily="heading">
        {title}
      </Heading>
      {aside && <Box color="muted">{aside}</Box>}
      {end && <Box ml="auto">{end}</Box>}
    </Flex>
  );
}
