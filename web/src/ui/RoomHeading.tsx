import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { type HelpTopic } from './helpTopics.ts';
import { RoomHelp } from './RoomHelp.tsx';
import { usePageTitle } from './usePageTitle.ts';

interface RoomHeadingProps {
  title: ReactNode;
  /** What the browser calls the page, where the title is more than words. */
  pageTitle?: string;
  aside?: ReactNode;
  /** Tells how the room is used, to whoever asks. */
  help?: HelpTopic;
  end?: ReactNode;
}

/** The name of a room or take, with a quiet line beside it. */
export function RoomHeading({ title, pageTitle, aside, help, end }: RoomHeadingProps) {
  usePageTitle(pageTitle ?? (typeof title === 'string' ? title : null));
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
