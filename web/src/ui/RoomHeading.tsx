import { Box, Flex, Heading } from '@chakra-ui/react';
import { SlidersHorizontal } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';
import { type HelpTopic } from './helpTopics.ts';
import { RoomHelp } from './RoomHelp.tsx';
import { useNarrow } from './useNarrow.ts';
import { usePageTitle } from './usePageTitle.ts';

interface RoomHeadingProps {
  title: ReactNode;
  /** What the browser calls the page, where the title is more than words. */
  pageTitle?: string;
  aside?: ReactNode;
  /** Tells how the room is used, to whoever asks. */
  help?: HelpTopic;
  end?: ReactNode;
  /** What is shown of all there is, below the heading. */
  filters?: ReactNode;
  /** Something is filtered out: on a phone that is seen at once. */
  isFiltered?: boolean;
  /** What stands at the end is needed at once on a phone too. */
  keepsEnd?: boolean;
}

/** The name of a room or take, with a quiet line beside it. On a phone one line, and the rest behind one button. */
export function RoomHeading(props: RoomHeadingProps) {
  const { title, pageTitle, help } = props;
  usePageTitle(pageTitle ?? (typeof title === 'string' ? title : null));
  const narrow = useNarrow();
  const isFolded = narrow && !props.keepsEnd && Boolean(props.end ?? props.filters);
  const heading = (button?: ReactNode) =>
    isFolded ? <FoldedHeading {...props} button={button} /> : <WideHeading {...props} button={button} />;
  return help ? <RoomHelp topic={help}>{heading}</RoomHelp> : heading();
}

type HeadingParts = RoomHeadingProps & { button: ReactNode };

function WideHeading({ title, aside, end, filters, button }: HeadingParts) {
  return (
    <>
      <Flex alignItems="baseline" columnGap="5" rowGap="2" wrap="wrap" mb={{ base: '3', md: '5' }}>
        <Heading as="h1" fontSize="title" fontFamily="heading">
          {title}
        </Heading>
        {aside && <Box color="muted">{aside}</Box>}
        {button}
        {end && <Box ml="auto">{end}</Box>}
      </Flex>
      {filters}
    </>
  );
}

function FoldedHeading({ title, aside, end, filters, isFiltered = false, button }: HeadingParts) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(isFiltered);
  const id = useId();
  return (
    <>
      <Flex alignItems="center" justifyContent="space-between" gap="3" mb="2">
        <Heading as="h1" fontSize="large" fontFamily="heading">
          {title}
        </Heading>
        <ActionButton
          look="plain"
          flexShrink="0"
          aria-expanded={open}
          aria-controls={open ? id : undefined}
          onClick={() => setOpen(!open)}
        >
          <SlidersHorizontal size={18} aria-hidden="true" /> {t('rooms.options')}
        </ActionButton>
      </Flex>
      {open && (
        <Box id={id} borderLeftWidth="4px" borderStyle="solid" borderColor="cane" pl="3" mb="4">
          <Flex alignItems="baseline" columnGap="5" wrap="wrap" mb="3">
            {aside && <Box color="muted">{aside}</Box>}
            {button}
          </Flex>
          {end && <Box mb="4">{end}</Box>}
          {filters}
        </Box>
      )}
    </>
  );
}
