import { waitsBefore, type Choices, type Family, type Options } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useSearchParams } from 'react-router';
import { drillAddress, readDrill, roomOf, shelfAddress } from '../../addresses/index.ts';
import { withLine } from '../../today/index.ts';
import { type SessionSetup } from '../../session/index.ts';
import { familyName } from '../../notation/index.ts';
import { CHOSEN, currentSearch } from '../../ui/index.ts';
import { SheetPart } from './SheetPart.tsx';
import { DrillControls } from './DrillControls.tsx';
import { ExerciseView } from './ExerciseView.tsx';
import { useBreathBudget } from './useBreathBudget.ts';
import { useExercise } from './useExercise.ts';

interface DrillPlayProps {
  setup: SessionSetup;
  family: Family;
  horn: Horn;
  options: Options;
}

/** A fingering is of one note. */
const forgets = (change: Choices): Choices => (change.note === undefined ? {} : { keys: '' });

/** What a drill leaves to chance is drawn anew on every visit. */
const newDraw = () => Math.floor(Math.random() * 2 ** 31);

/** A drill played phrase by phrase. What was chosen is in the address. */
export function DrillPlay({ setup, family, horn, options }: DrillPlayProps) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const { settings } = setup;
  const [draw] = useState(newDraw);
  const [choices, exercise] = useMemo(() => {
    const read = readDrill(search, family, horn);
    return [read, family.build(horn, read, draw)] as const;
  }, [search, family, horn, draw]);
  // A line of today's sheet leads back to it, and on to the next.
  const line = search.get('sheet');
  const play = useExercise(
    setup,
    exercise,
    drillAddress(family, horn, choices),
    line === null ? roomOf(family, horn, choices) : '/today',
  );
  const budget = useBreathBudget(exercise, settings.source);
  const go = (change: Choices) => {
    const standing = readDrill(currentSearch(), family, horn);
    const address = drillAddress(family, horn, { ...standing, ...forgets(change), ...change });
    void navigate(line === null ? address : withLine(address, line), CHOSEN);
  };
  const name = familyName(family.id, t);
  const { round } = play;
  return (
    <ExerciseView
      setup={setup}
      play={play}
      title={name}
      label={t('drill.page', { name, index: round.index + 1, count: Math.max(1, round.count) })}
      after={line !== null && <SheetPart line={line} play={play} settings={settings} />}
      controls={
        <DrillControls
          family={family}
          options={options}
          choices={choices}
          exercise={exercise}
          settings={settings}
          phase={play.phase}
          paused={round.paused}
          waits={round.paused && waitsBefore(exercise, round.index)}
          budget={budget}
          offerCalibration={!setup.calibrated}
          shelfAddress={shelfAddress(family, horn, choices)}
          onChange={go}
          onPrimary={play.onPrimary}
        />
      }
    />
  );
}
