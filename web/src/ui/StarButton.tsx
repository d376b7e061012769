import { chakra } from '@chakra-ui/react';
import { Star } from 'lucide-react';

interface StarButtonProps {
  /** What is kept at hand. */
  label: string;
  on: boolean;
  onToggle(): void;
}

/** Keeps a thing at hand, or no longer. */
export function StarButton({ label, on, onToggle }: StarButtonProps) {
  return (
    <chakra.button
      type="button"
      aria-pressed={on}
      aria-label={label}
      title={label}
      onClick={onToggle}
      minW="touch"
      minH="touch"
      display="inline-grid"
      placeItems="center"
      cursor="pointer"
      color={on ? 'brass' : 'muted'}
    >
      <Star size={22} fill={on ? 'currentColor' : 'none'} aria-hidden="true" />
    </chakra.button>
  );
}
