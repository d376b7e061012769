import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface FileButtonProps {
  /** Kinds that are offered; whatever comes is looked at all the same. */
  accept: string;
  multiple?: boolean;
  children: ReactNode;
  onFiles(files: File[]): void;
}

/** Chooses files from this machine: the system's own way, looking like a thing to do. */
export function FileButton({ accept, multiple = false, children, onFiles }: FileButtonProps) {
  return (
    <chakra.label
      display="inline-flex"
      alignItems="center"
      position="relative"
      minH="touch"
      px="4"
      py="1"
      borderWidth="1px"
      borderStyle="solid"
      borderColor="edge"
      borderRadius="small"
      cursor="pointer"
      _focusWithin={{ outline: '3px solid', outlineColor: 'brass' }}
    >
      {children}
      <chakra.input
        type="file"
        accept={accept}
        multiple={multiple}
        position="absolute"
        inset="0"
        w="full"
        opacity="0"
        cursor="pointer"
        onChange={({ target }) => {
          const files = [...(target.files ?? [])];
          target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </chakra.label>
  );
}
