import { AIMS, pathOf } from '@inner-hum/core/plan';
import { familyById, type Gate, type PathId } from '@inner-hum/core/exercise';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { useToday } from '../../today/index.ts';
import { changeSettings, changeSheet, listOwnExercises } from '../../storage/index.ts';
import { TodayView } from './TodayView.tsx';

/** Opens what waited: by the player's wish, or by what was played. */
const openGates = (gates: readonly Gate[]) =>
  changeSettings((settings) => ({ openGates: [...new Set([...settings.openGates, ...gates])] }));

/** Sets a path to a step, which begins now; `only`: where the path was not begun. */
const goToStep = (path: PathId, step: number, only = false) =>
  changeSettings(({ paths }) => ({
    paths: only && paths[path] ? paths : { ...paths, [path]: { step, since: Date.now() } },
  }));

/** What to play now, and why; and, when it is played, how it was. */
export function Component() {
  const [opened] = useState(() => Date.now());
  const today = useToday(opened);
  const own = useLiveQuery(listOwnExercises);
  const earned = today?.earned.join() ?? '';
  useEffect(() => {
    if (earned !== '') void openGates(earned.split(',') as Gate[]);
  }, [earned]);
  const through = today?.progress?.isThrough ? today.progress : null;
  const [path, next] = [through?.path, (through?.step ?? 0) + 1];
  useEffect(() => {
    if (path) void goToStep(path, next);
  }, [path, next]);
  if (!today) return null;
  const { sheet } = today;
  const toggled = (keys: readonly string[], key: string) =>
    keys.includes(key) ? keys.filter((each) => each !== key) : [...keys, key];
  return (
    <TodayView
      today={today}
      onMinutes={(minutes) => void changeSheet(sheet, { minutes })}
      onAim={(value) => {
        const aim = AIMS.find((each) => each === value) ?? 'zones';
        const begun = pathOf(aim);
        if (begun) void goToStep(begun, 0, true);
        void changeSheet(sheet, { aim });
      }}
      onStep={(path, step) => void goToStep(path, step)}
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
