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
      // On a dark button the key is as light as its words.
      borderColor="currentColor"
      borderRadius="small"
      px="1"
      fontFamily="body"
      fontSize="small"
      color="inherit"
      fontWeight="400"
    >
      {children}
    </Box>
  );
}
