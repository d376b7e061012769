import { Box, Flex, Heading } from '@chakra-ui/react';
import { placeInRound } from '@inner-hum/core/exercise';
import { memo, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionButton, ActionLink, Choice, Key } from '../../ui/index.ts';
import type { ExercisePlay } from './useExercise.ts';

interface StandHeaderProps {
  title: string;
  aside: string;
  /** All that `isSame` looks at, and what follows from the settings. */
  play: Pick<ExercisePlay, 'exercise' | 'leaveTo' | 'onEyes' | 'onClick' | 'onDrone'> & {
    round: Pick<ExercisePlay['round'], 'index' | 'count'>;
  };
  settings: SettingsRecord;
  isOwnTime: boolean;
}

/** Whether the header shows the same, and does the same when it is pressed: a take begins without drawing it anew. */
const isSame = (a: StandHeaderProps, b: StandHeaderProps) =>
  a.title === b.title &&
  a.aside === b.aside &&
  a.settings === b.settings &&
  a.isOwnTime === b.isOwnTime &&
  a.play.exercise === b.play.exercise &&
  a.play.leaveTo === b.play.leaveTo &&
  a.play.round.index === b.play.round.index &&
  a.play.round.count === b.play.round.count;

/** What is played, which phrase of it, and the switches of eyes and ears. As high in every phase. */
export const StandHeader = memo(function StandHeader(props: StandHeaderProps) {
  const { title, aside, play, settings, isOwnTime } = props;
  const { t } = useTranslation();
  const { round, exercise } = play;
  const place = useMemo(() => placeInRound(exercise, round.index), [exercise, round.index]);
  const key = (name: keyof SettingsRecord['keys']) =>
    settings.singleKeys ? { keyName: settings.keys[name] } : {};
  return (
    <Flex
      as="header"
      alignItems="center"
      columnGap={{ base: '6', lg: '4', xl: '6' }}
      wrap={{ base: 'wrap', lg: 'nowrap' }}
      py="1"
      borderBottomWidth="1px"
      borderBottomStyle="solid"
      borderBottomColor="line"
    >
      <Heading
        as="h1"
        fontFamily="heading"
        fontSize="large"
        flex={{ base: '1', lg: '0 1 auto' }}
        minW="0"
        overflow="hidden"
        textOverflow="ellipsis"
        whiteSpace={{ md: 'nowrap' }}
      >
        {title}
      </Heading>
      <Box
        display={{ base: 'none', md: 'block' }}
        color="muted"
        minW="0"
        // It makes room before the title does.
        flexShrink="100000"
        overflow="hidden"
        whiteSpace="nowrap"
        textOverflow="ellipsis"
      >
        {aside}
      </Box>
      {round.count > 1 && (
        <Box color="muted" whiteSpace="nowrap" flexShrink="0" data-testid="phrase-count">
          {t('drill.phraseOf', { index: place.place, count: place.count })}
        </Box>
      )}
      <Flex
        order="2"
        ml={{ lg: 'auto' }}
        w={{ base: 'full', lg: 'auto' }}
        columnGap={{ base: '2', md: '5', lg: '3', xl: '5' }}
        wrap={{ base: 'wrap', lg: 'nowrap' }}
        fontSize={{ base: 'small', md: 'normal' }}
        whiteSpace="nowrap"
        alignItems="center"
        justifyContent={{ base: 'space-between', md: 'flex-start' }}
        flexShrink="0"
      >
        <Choice
          legend={t('eyes.label')}
          hideLegend
          staysInLine
          value={settings.eyes}
          onChange={play.onEyes}
          options={[
            { value: 'watch', label: t('eyes.watch'), ...key('watch') },
            { value: 'blind', label: t('eyes.blind'), ...key('blind') },
          ]}
        />
        {!isOwnTime && (
          <ActionButton look="plain" onClick={() => play.onClick(settings.click === 'off' ? 'both' : 'off')}>
            {t('swell.click', { state: t(`click.${settings.click}`) })}
            {settings.singleKeys && <Key>{settings.keys.click}</Key>}
          </ActionButton>
        )}
        <ActionButton look="plain" onClick={() => play.onDrone({ on: !settings.drone.on })}>
          {t('ears.drone', { state: t(settings.drone.on ? 'ears.on' : 'ears.off') })}
          {settings.singleKeys && <Key>{settings.keys.drone}</Key>}
        </ActionButton>
      </Flex>
      {/* On a phone beside the title, where the thumb does not start. */}
      <ActionLink look="plain" to={play.leaveTo} order={{ base: 1, lg: 3 }}>
        {t('swell.leave')} <Key>esc</Key>
      </ActionLink>
    </Flex>
  );
}, isSame);
