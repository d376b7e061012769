import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { type HelpTopic } from './helpTopics.ts';
import { RoomHelp } from './RoomHelp.tsx';

interface RoomHeadingProps {
  title: ReactNode;
  aside?: ReactNode;
  /** Tells how the room is used, to whoever asks. */
  help?: HelpTopic;
  end?: ReactNode;
}

/** The name of a room or take, with a quiet line beside it. */
export function RoomHeading({ title, aside, help, end }: RoomHeadingProps) {
  const heading = (button?: ReactNode) => (
    <Flex alignItems="baseline" gap="5" wrap="wrap" mb="5">
      <Heading as="h1" fontSize="title" fontFamily="heading">
        {title}
      </Heading>
      {aside && <Box color="muted">{aside}</Box>}
      {button}
      {end && <Box ml="auto">{end}</Box>}
    </Flex>
  );
  return help ? <RoomHelp topic={help}>{heading}</RoomHelp> : heading();
}
