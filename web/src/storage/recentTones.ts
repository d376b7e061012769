import { scoreOf, shapeOf, type Exercise } from '@inner-hum/core/exercise';
import type { FullTone, TakeContext } from '@inner-hum/core/judge';
import { median } from '@inner-hum/core/stats';
import { withKey } from './findTakes.ts';
import type { Gear } from './gearRecords.ts';
import { setupKey } from './gear.ts';
import { groupedBy } from './groupedBy.ts';
import { isListed } from './listed.ts';
import type { TakeRecord } from './records.ts';
import { judgedKey } from './judgedKey.ts';

/** So many takes back are recent, and fewer soft ends than these are nobody's usual. */
const RECENT_TAKES = 80;
const LEAST_ENDS = 5;

type Player = Pick<TakeRecord, 'hornId' | 'source'> & Gear;
type RecentTones = Pick<TakeContext, 'fullTones' | 'usualSoftBreathDb' | 'usualColourSlope'>;

/** Notes that are written as subtones and have no full tone of theirs in the exercise. */
function lonelySubtones(exercise: Exercise): Set<number> {
  const notes = scoreOf(exercise).flatMap(({ item }) => (item.kind === 'note' ? [item] : []));
  const full = new Set(notes.filter(({ tone }) => tone === undefined).map(({ writtenMidi }) => writtenMidi));
  return new Set(
    notes.flatMap(({ tone, writtenMidi }) =>
      tone === 'subtone' && !full.has(writtenMidi) ? [writtenMidi] : [],
    ),
  );
}

/**
 * What this player's newest takes with the same set-up tell that an exercise is judged by: full tones of notes that it asks for as subtones
 * only, and how much breath is usual at the soft end of a swell. Empty where it asks for neither.
 */
export async function recentTones(exercise: Exercise, player: Player): Promise<RecentTones> {
  const lonely = lonelySubtones(exercise);
  const asksSwell = scoreOf(exercise).some(({ item }) => item.kind === 'note' && shapeOf(item) !== 'steady');
  if (lonely.size === 0 && !asksSwell) return {};
  const takes = await withKey('judged', judgedKey(player.hornId, player.source))
    .reverse()
    .limit(RECENT_TAKES)
    .toArray();
  const full: { midi: number; tone: FullTone }[] = [];
  const soft: number[] = [];
  const colour: number[] = [];
  for (const take of takes) {
    const { context, analysis } = take;
    if (!context || !analysis || !isListed(take) || setupKey(take) !== setupKey(player)) continue;
    const score = scoreOf(context.exercise);
    for (const { item, kind, measures } of analysis.items) {
      const written = score.at(item)?.item;
      if (kind !== 'note' || !measures || written?.kind !== 'note' || written.tone) continue;
      if (measures.softEndBreathDb !== null && measures.softEndBreathDb !== undefined)
        soft.push(measures.softEndBreathDb);
      if (measures.centroidSlopeHarmonicsPer10Db !== null)
        colour.push(measures.centroidSlopeHarmonicsPer10Db);
      if (!lonely.has(written.writtenMidi) || shapeOf(written) !== 'steady') continue;
      const { levelDb, noiseToHarmonicDb, centroidHarmonics } = measures;
      if (levelDb === null || noiseToHarmonicDb === null || centroidHarmonics === null) continue;
      full.push({
        midi: written.writtenMidi,
        tone: { levelDb, noiseToHarmonicDb, centroidHarmonics },
      });
    }
  }
  const middle = (tones: readonly { tone: FullTone }[], name: keyof FullTone) =>
    median(tones.flatMap(({ tone }) => tone[name] ?? []));
  const fullTones = Object.fromEntries(
    [...groupedBy(full, ({ midi }) => String(midi))].map(([midi, tones]) => [
      midi,
      {
        levelDb: middle(tones, 'levelDb'),
        noiseToHarmonicDb: middle(tones, 'noiseToHarmonicDb'),
        centroidHarmonics: middle(tones, 'centroidHarmonics'),
      },
    ]),
  );
  const usual = (values: readonly number[]) => (values.length < LEAST_ENDS ? null : median(values));
  return { fullTones, usualSoftBreathDb: usual(soft), usualColourSlope: usual(colour) };
}
