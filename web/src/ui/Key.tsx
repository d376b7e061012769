import { Box } from '@chakra-ui/react';

/** The key that does what stands beside it. */
export function Key({ children }: { children: string }) {
  return (
    <Box
      as="kbd"
      // A phone has no keys to show.
      display={{ base: 'none', md: 'inline-block' }}
      borderWidth="1px"
      borderStyle="solid"
      borderColor="line"
      borderRadius="small"
      px="1"
      fontFamily="body"
      fontSize="small"
      color="muted"
    >
      {children}
    </Box>
  );
}
