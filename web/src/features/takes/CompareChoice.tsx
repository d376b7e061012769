import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { takeKeys, type TakeRecord } from '../../storage/index.ts';
import { Select } from '../../ui/index.ts';
import { takeLabel } from '../../listing/index.ts';

interface CompareChoiceProps {
  take: TakeRecord;
  /** Every take that could be laid over this one. */
  others: readonly TakeRecord[];
  otherId: string;
  naming: NoteNaming;
  onChoose(takeId: string): void;
}

/** Which take to lay over this one; the same note on the same horn comes first. */
export function CompareChoice({ take, others, otherId, naming, onChoose }: CompareChoiceProps) {
  const { t } = useTranslation();
  const isNear = (other: TakeRecord) =>
    takeKeys(other).note === takeKeys(take).note && other.hornId === take.hornId;
  const group = (label: string, takes: readonly TakeRecord[]) => ({
    label,
    options: takes.map((other) => ({ value: other.id, label: takeLabel(other, naming, t) })),
  });
  const groups = [
    group(t('compare.sameNote'), others.filter(isNear)),
    group(
      t('compare.otherNotes'),
      others.filter((other) => !isNear(other)),
    ),
  ].filter(({ options }) => options.length > 0);
  return (
    <Select
      label={t('compare.label')}
      value={otherId}
      plain={[{ value: '', label: t('compare.none') }]}
      groups={groups}
      onChange={onChoose}
    />
  );
}
