import { DYNAMIC_MARKS, type DynamicMark } from '@inner-hum/core/exercise';
import { Select } from './Select.tsx';

interface MarkFieldProps {
  label: string;
  mark: DynamicMark;
  onChange(mark: DynamicMark): void;
}

/** A dynamic mark, from the softest to the loudest. */
export function MarkField({ label, mark, onChange }: MarkFieldProps) {
  return (
    <Select
      label={label}
      value={mark}
      plain={DYNAMIC_MARKS.map((each) => ({ value: each, label: each }))}
      onChange={(value) => onChange(DYNAMIC_MARKS.find((each) => each === value) ?? mark)}
    />
  );
}
