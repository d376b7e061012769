import { Box, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A part of a room under a name of its own; with an `id` the address can lead to it. */
export function Section({ title, id, children }: { title: string; id?: string; children: ReactNode }) {
  return (
    <Box
      as="section"
      id={id}
      tabIndex={id ? -1 : undefined}
      scrollMarginTop="4"
      py="5"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
    >
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="3">
        {title}
      </Heading>
      {children}
    </Box>
  );
}
