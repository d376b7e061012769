import { changeSettings } from '../../storage/index.ts';
import { FindingsView } from './FindingsView.tsx';
import { useHornMap } from './useHornMap.ts';

/** Likely causes of what the map shows, each with its evidence and its next test. */
export function Component() {
  const data = useHornMap({ range: 'year', over: 'nothing' });
  if (!data) return null;
  const { dismissedFindings } = data.settings;
  return (
    <FindingsView
      data={data}
      onDismiss={(key) => void changeSettings({ dismissedFindings: [...dismissedFindings, key] })}
      onTakeUp={(key) =>
        void changeSettings({ dismissedFindings: dismissedFindings.filter((each) => each !== key) })
      }
    />
  );
}
