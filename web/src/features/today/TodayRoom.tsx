import { AIMS } from '@inner-hum/core/plan';
import { familyById, type Gate } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { useToday } from '../../today/index.ts';
import { changeSettings, changeSheet, listOwnExercises } from '../../storage/index.ts';
import { TodayView } from './TodayView.tsx';

/** Opens what waited: by the player's wish, or by what was played. */
const openGates = (gates: readonly Gate[]) =>
  changeSettings((settings) => ({ openGates: [...new Set([...settings.openGates, ...gates])] }));

/** What to play now, and why; and, when it is played, how it was. */
export function Component() {
  const [opened] = useState(() => Date.now());
  const today = useToday(opened);
  const own = useLiveQuery(listOwnExercises);
  const earned = today?.earned.join() ?? '';
  useEffect(() => {
    if (earned !== '') void openGates(earned.split(',') as Gate[]);
  }, [earned]);
  if (!today) return null;
  const { sheet } = today;
  const toggled = (keys: readonly string[], key: string) =>
    keys.includes(key) ? keys.filter((each) => each !== key) : [...keys, key];
  return (
    <TodayView
      today={today}
      onMinutes={(minutes) => void changeSheet(sheet, { minutes })}
      onAim={(value) => void changeSheet(sheet, { aim: AIMS.find((aim) => aim === value) ?? 'zones' })}
      own={own ?? []}
      onFamily={(value) => void changeSheet(sheet, { family: familyById(value)?.id ?? sheet.family })}
      onKeep={(key) => void changeSheet(sheet, { kept: toggled(sheet.kept, key) })}
      onNotToday={(slot) => void changeSheet(sheet, { notToday: toggled(sheet.notToday, slot) })}
      onAllToday={() => void changeSheet(sheet, { notToday: [] })}
      onOpenGate={(gate) => void openGates([gate])}
      onPlanAnew={() => void changeSheet(sheet, { plannedAt: Date.now() })}
    />
  );
}
