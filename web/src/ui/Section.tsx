import { Box, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A part of a room under a name of its own. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" py="5" borderTopWidth="1px" borderTopStyle="solid" borderTopColor="line">
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="3">
        {title}
      </Heading>
      {children}
    </Box>
  );
}
