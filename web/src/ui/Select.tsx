import { Box, chakra } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';
import { useId } from 'react';

export interface SelectGroup {
  label: string;
  options: readonly { value: string; label: string }[];
}

interface SelectProps {
  label: string;
  value: string;
  /** Options before the groups: "any", "none". */
  plain: readonly { value: string; label: string }[];
  groups?: readonly SelectGroup[];
  onChange(value: string): void;
}

/** One of many, by the system's own list: it works with every key, finger and reader. */
export function Select({ label, value, plain, groups = [], onChange }: SelectProps) {
  const id = useId();
  const option = ({ value: each, label: text }: { value: string; label: string }) => (
    <option key={each} value={each}>
      {text}
    </option>
  );
  return (
    <Box minW="0" maxW="full">
      <chakra.label htmlFor={id} display="block" color="muted" fontSize="small">
        {label}
      </chakra.label>
      <Box position="relative" w="fit-content" maxW="full">
        <chakra.select
          id={id}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          minH="touch"
          maxW="full"
          appearance="none"
          pl="3"
          pr="7"
          bg="paper"
          borderWidth="1px"
          borderStyle="solid"
          borderColor="edge"
          borderRadius="small"
          cursor="pointer"
        >
          {plain.map(option)}
          {groups.map((group) => (
            <optgroup key={group.label} label={group.label}>
              {group.options.map(option)}
            </optgroup>
          ))}
        </chakra.select>
        <Box
          position="absolute"
          right="2"
          top="0"
          h="full"
          display="grid"
          placeItems="center"
          pointerEvents="none"
          color="muted"
        >
          <ChevronDown size={18} aria-hidden="true" />
        </Box>
      </Box>
    </Box>
  );
}
