import { Box, Flex } from '@chakra-ui/react';
import type { Skill } from '@inner-hum/core/exercise';
import { learned, type PlanWish } from '@inner-hum/core/plan';
import type { Zone } from '@inner-hum/core/practice';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { changeSettings } from '../../storage/index.ts';
import { useToday } from '../../today/index.ts';
import { ActionLink, Choice, RoomHeading } from '../../ui/index.ts';
import { whenText } from './reasonText.ts';

const WISHES = ['more', 'asPlanned', 'less'] as const;
type Wish = (typeof WISHES)[number];

/** Says how much of a skill in a zone the player wants, against what the plan found. */
const wishFor = (skill: Skill, zone: Zone, wish: Wish) =>
  changeSettings(({ planWishes }) => {
    const others = planWishes.filter((each) => each.skill !== skill || each.zone !== zone);
    return { planWishes: wish === 'asPlanned' ? others : [...others, { skill, zone, wish }] };
  });

const wishOf = (wishes: readonly PlanWish[], skill: Skill, zone: Zone): Wish =>
  wishes.find((each) => each.skill === skill && each.zone === zone)?.wish ?? 'asPlanned';

/** What the plan knows of the player, a row a skill and zone, what it wants most first; and the player's word against it. */
export function Component() {
  const { t } = useTranslation();
  const [opened] = useState(() => Date.now());
  const today = useToday(opened);
  if (!today) return null;
  const { request, settings } = today;
  return (
    <Box maxW="page">
      <RoomHeading
        keepsEnd
        title={t('plan.title')}
        end={
          <ActionLink look="plain" to="/today">
            {t('today.back')}
          </ActionLink>
        }
      />
      <Box maxW="prose" mb="4">
        {t('plan.intro')} {t('plan.minutes')}
      </Box>
      <Box as="ul" listStyleType="none" data-testid="learned">
        {learned(request).map(({ skill, zone, tally, isResting }) => {
          const thing = t('plan.thing', { skill: t(`today.skill.${skill}`), zone: t(`today.zone.${zone}`) });
          return (
            <Flex
              as="li"
              key={`${skill} ${zone}`}
              columnGap="5"
              rowGap="0"
              py="2"
              wrap="wrap"
              alignItems="center"
              borderTopWidth="1px"
              borderTopStyle="solid"
              borderTopColor="line"
            >
              <Box flex="1" minW="column">
                {thing}
                <Box color="muted">
                  {tally.daysSince === null
                    ? t('plan.none')
                    : t('plan.share', { ...tally, when: whenText(Math.floor(tally.daysSince), t) })}
                  {isResting && ` ${t('plan.rests')}`}
                </Box>
              </Box>
              <Choice
                legend={thing}
                hideLegend
                staysInLine
                value={wishOf(settings.planWishes, skill, zone)}
                onChange={(wish) => void wishFor(skill, zone, wish)}
                options={WISHES.map((wish) => ({ value: wish, label: t(`plan.${wish}`) }))}
              />
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
