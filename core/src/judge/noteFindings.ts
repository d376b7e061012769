import { askedFindings } from './askedFindings.ts';
import { beatFindings, endFindings, shortFindings } from './timeFindings.ts';
import { levelFindings } from './levelFindings.ts';
import { joinFindings, startFindings } from './startFindings.ts';
import { pitchFindings } from './pitchFindings.ts';
import { restartFindings } from './restarts.ts';
import { brokenFindings, wrongPartial } from './brokenFindings.ts';
import { shapeFindings } from './shapeFindings.ts';
import type { Finding } from './finding.ts';
import type { NoteHeard } from './noteHeard.ts';

/** A note that sounded this long on its partial has spoken. */
const SPOKE_SECONDS = 0.2;

/** Everything that stood out in one note, in no order. A note that spoke as another partial is that alone. */
export function noteFindings(heard: NoteHeard): Finding[] {
  const { note, measures, events, onsetSeconds, tolerance } = heard;
  const jump = events.find((event) => event.type === 'jump');
  // What spoke right and fell later was not wrong from the start.
  const spoke = measures.firstPartial === null && jump && jump.timeSeconds - onsetSeconds > SPOKE_SECONDS;
  const wrong = spoke ? null : wrongPartial(heard.heardPartial, heard.partial);
  if (wrong) return [wrong];
  const short = shortFindings(heard);
  const joins = joinFindings(heard);
  // The time of a slide is told as a slide, not as coming late.
  const slideMs = joins.some(({ kind }) => kind === 'slowSlur') ? (measures.slurMs ?? 0) : 0;
  return [
    ...brokenFindings(heard),
    ...short,
    ...joins,
    ...startFindings(heard),
    ...levelFindings(heard.level, tolerance),
    ...restartFindings(measures, tolerance, heard.ringsMs > 0),
    ...(short.length > 0 ? [] : endFindings(heard)),
    ...beatFindings(heard, slideMs),
    ...askedFindings(note, measures, tolerance),
    ...pitchFindings(note, measures, tolerance),
    ...shapeFindings(heard),
  ];
}
