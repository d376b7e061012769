import { markFraction, type DynamicScale } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { useSetup } from '../../session/index.ts';
import { changeSettings } from '../../storage/index.ts';
import { useUrlState } from '../../ui/index.ts';
import { mapSearch, readMapLook } from './mapAddress.ts';
import { MapView } from './MapView.tsx';
import { useHornMap } from './useHornMap.ts';

/** Levels of pp and ff on a player's scale, in tens of dB from its middle. */
function softAndLoud({ floorDb, ceilingDb }: DynamicScale): { soft: number; loud: number } {
  const at = (fraction: number) => ((fraction - 0.5) * (ceilingDb - floorDb)) / 10;
  return { soft: at(markFraction('pp')), loud: at(markFraction('ff')) };
}

/** Every note of the horn: where it lies, how it speaks, and where it sticks out. */
export function Component() {
  const [look, go] = useUrlState(readMapLook, mapSearch);
  const setup = useSetup();
  const data = useHornMap(look);
  if (!data || !setup) return null;
  const { settings } = data;
  const { soft, loud } = softAndLoud(setup.scale);
  return (
    <MapView
      data={data}
      look={look}
      shift={settings.pitchShown === 'sounding' ? hornById(settings.hornId).transposition : 0}
      soft={soft}
      loud={loud}
      onLook={(change) => go(change)}
      onPitch={(pitchShown) => void changeSettings({ pitchShown })}
    />
  );
}
