import { Box } from '@chakra-ui/react';
import type { Choices, Exercise, Family, OptionName, Options } from '@inner-hum/core/exercise';
import type { TempoProposal } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import type { VisitPhase } from '../../session/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionLink, OptionFields } from '../../ui/index.ts';
import { BudgetLine } from './BudgetLine.tsx';
import { StandControls } from './StandControls.tsx';
import { StartLine } from './StartLine.tsx';
import { WaitsLine } from './WaitsLine.tsx';

/** What one changes with the horn in the hand; everything else is chosen on the Shelf. */
const AT_THE_STAND: readonly OptionName[] = [
  'note',
  'to',
  'low',
  'high',
  'key',
  'end',
  'form',
  'partial',
  'widest',
  'climb',
  'bend',
  'pull',
  'beats',
  'tries',
  'minutes',
  'from',
  'loud',
  'tempoBpm',
  'start',
  'rounds',
];
/** In the player's own time there is no tempo. */
const IN_OWN_TIME = AT_THE_STAND.filter((name) => name !== 'tempoBpm');

interface DrillControlsProps {
  family: Family;
  options: Options;
  choices: Choices;
  exercise: Exercise;
  settings: SettingsRecord;
  phase: VisitPhase;
  paused: boolean;
  /** The round waits until the player has done what is to be compared. */
  waits: boolean;
  budget: TempoProposal | null;
  offerCalibration: boolean;
  /** Where all choices are. */
  shelfAddress: string;
  onChange(change: Choices): void;
  onPrimary(): void;
}

/** What to play of a family: where on the horn, how fast, how it starts. All of it can be left as it is. */
export function DrillControls(props: DrillControlsProps) {
  const { family, options, choices, exercise, settings, phase, paused, waits, budget } = props;
  const { t } = useTranslation();
  return (
    <StandControls
      start={
        <StartLine
          exercise={exercise}
          settings={settings}
          phase={phase}
          paused={paused}
          offerCalibration={props.offerCalibration}
          onPrimary={props.onPrimary}
        />
      }
      notes={
        <>
          {waits && <WaitsLine />}
          <BudgetLine
            exercise={exercise}
            budget={budget}
            onTake={(tempoBpm) => props.onChange({ tempoBpm })}
          />
        </>
      }
      fields={
        <>
          <OptionFields
            options={options}
            choices={choices}
            naming={settings.naming}
            hornId={settings.hornId}
            only={exercise.start === 'ownTime' ? IN_OWN_TIME : AT_THE_STAND}
            tapKey={settings.singleKeys ? settings.keys.tap : null}
            onChange={props.onChange}
          />
          <Box flex="1" minW="column" color="muted" fontSize="small" pt="2">
            {t(`familyPurpose.${family.id}`)}{' '}
            <ActionLink look="plain" to={props.shelfAddress}>
              {t('drill.allChoices')}
            </ActionLink>
          </Box>
        </>
      }
    />
  );
}
