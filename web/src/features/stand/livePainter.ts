import {
  exerciseAsPlayed,
  exerciseUpTo,
  isOpenEnded,
  lengthBeats,
  scoreOf,
  secondsPerBeat,
  type DynamicScale,
  type Exercise,
} from '@inner-hum/core/exercise';
import type { HornId, NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { barSounds } from '../../audio/index.ts';
import { itemName } from '../../notation/index.ts';
import {
  createLayout,
  InkTrack,
  LABEL_FONT,
  LABEL_ROOM_PX,
  MARK_FONT,
  NAME_FONT,
  paintInk,
  paintMarks,
  paintNames,
  paintOutlineAhead,
  paintRules,
  paintStrayLabels,
  strayStarts,
  writtenInk,
  type RibbonPalette,
} from '../../ribbon/index.ts';
import type { SessionController, VisitPhase } from '../../session/index.ts';
import { ownTimeBeats } from './ownTimeBeats.ts';
import { paintBeats } from './paintBeats.ts';
import { writtenOn } from './writtenOn.ts';

/** There is a take to be seen: it grows, or stands still. */
const SHOWS_TAKE: ReadonlySet<VisitPhase> = new Set(['playing', 'judging', 'resting']);
/** Below the ribbon, where the marks stand. */
export const MARK_ROW = 44;
/** A page in the player's own time has so much more room than is written; a note that is held longer grows by such steps. */
const OWN_TIME_ROOM = 1.3;
const GROWS_BEATS = 0.5;
const OPEN_ITEMS = 8;
/** How often the outline that lies ahead gives way to the ink. */
const OUTLINE_STEP_SECONDS = 0.1;
/**
 * What was heard before a take was known as one is inked over the next drawings, so many frames each: it never holds up the first. More
 * than that is a page that is laid out anew, and whole at once.
 */
const MOST_INK = 40;
const PAST_INK = 160;

/** What is played, and what of it may be seen. */
export interface LivePageContent {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  phase: VisitPhase;
  /** The ribbon stays hidden: a blind take that runs, or has not been called yet. */
  hidden: boolean;
  naming: NoteNaming;
  beatsSeen: boolean;
}

/** What is drawn on: the paper, the outline ahead and the ink one over the other, and the line that is moved over them; sizes in CSS pixels. */
export interface LivePageSurface {
  back: CanvasRenderingContext2D;
  outline: CanvasRenderingContext2D;
  front: CanvasRenderingContext2D;
  cursor: HTMLElement | null;
  width: number;
  height: number;
  ribbonHeight: number;
  paperHeight: number;
  palette: RibbonPalette;
}

/** Draws an exercise on one page, as far as it has come whenever it is called. What it has drawn it does not draw again. */
export function createLivePainter(
  { exercise, hornId, a4Hz, scale, phase, hidden, naming, beatsSeen }: LivePageContent,
  { back, outline, front, cursor, width, height, ribbonHeight, paperHeight, palette }: LivePageSurface,
  { live, desk, metronome }: Pick<SessionController, 'live' | 'desk' | 'metronome'>,
  t: TFunction,
): () => void {
  const isOwnTime = exercise.start === 'ownTime';
  const beat = secondsPerBeat(exercise);
  const narrow = width < 520;
  const strayLabel = (partial: number) => t('ribbon.partial', { partial });
  /** Of what goes on until the player stops, a part is shown: what was played and a little more. */
  const upTo = (index: number) =>
    isOpenEnded(exercise) ? exerciseUpTo(exercise, Math.max(OPEN_ITEMS, index + OPEN_ITEMS / 2)) : exercise;
  const score = scoreOf(exercise);
  /** What is written on the page. In the player's own time it moves along, and the page grows where it is too short. */
  let written = writtenOn(phase === 'resting' ? exercise : upTo(0), hornId, a4Hz);
  let pageSeconds = written.length * (isOwnTime && phase !== 'resting' ? OWN_TIME_ROOM : 1);
  // Time of the page runs from beat 0; a take's own clock is shifted by its beat 0.
  const layOut = () =>
    createLayout({
      width,
      height: ribbonHeight,
      left: 4,
      right: width - (narrow ? 14 : LABEL_ROOM_PX),
      fromSeconds: -0.2 * beat,
      toSeconds: pageSeconds + 0.3 * beat,
    });
  let page = layOut();
  const labels = narrow ? null : { sharp: t('ribbon.sharp'), flat: t('ribbon.flat'), font: LABEL_FONT };
  const showsInk = !hidden;
  const leadBeats = exercise.start === 'countIn' ? exercise.beatsPerBar : 0;
  const placeCursor = (x: number | null) => {
    if (!cursor) return;
    cursor.style.visibility = x === null ? 'hidden' : 'visible';
    // Hidden it must not stand where a narrower page has no room for it.
    cursor.style.transform = x === null ? 'none' : `translateX(${x}px)`;
  };
  /** The page on a take's own clock, whose beat 0 is at `zero`. */
  const inTake = (zero: number) => ({
    ...page,
    fromSeconds: page.fromSeconds + zero,
    xAt: (seconds: number) => page.xAt(seconds - zero),
  });
  let strays: number[] = [];
  let track = live.track;
  let ink: InkTrack | null = null;
  let zero = 0;
  let drawn = '';
  let wiped = 0;
  let followed = '';

  /** Writes the page anew where the player has moved on, or holds a note for longer than is written. */
  const followOwnTime = (now: number) => {
    if (!live.follower) return;
    const { place } = live.follower;
    const asked = upTo(place.index);
    const beats = ownTimeBeats(exercise, score, place, zero, now).slice(0, asked.phrases[0].items.length);
    const key = beats.map((each) => Math.ceil(each / GROWS_BEATS)).join();
    if (key === followed) return;
    followed = key;
    written = writtenOn(exerciseAsPlayed(asked, beats), hornId, a4Hz);
    if (written.length > pageSeconds) pageSeconds = written.length * OWN_TIME_ROOM;
    page = layOut();
    ink = null;
  };

  return () => {
    const running = live.takeId !== null && live.beatZeroSeconds !== null && SHOWS_TAKE.has(phase);
    if (running) zero = live.beatZeroSeconds ?? 0;
    const now = desk.now() - live.startSeconds - zero;
    if (running && isOwnTime && phase === 'playing') followOwnTime(now);
    if (running && (ink === null || track !== live.track)) {
      track = live.track;
      ink = new InkTrack(writtenInk({ exercise: written.exercise, hornId, a4Hz, scale }, zero));
      strays = [];
      front.clearRect(0, 0, width, ribbonHeight);
    }
    if (running && ink) {
      const from = ink.count;
      // After the end nothing is added: the page keeps the take as it was.
      const heard = live.takeFrames ?? live.track.count;
      const isPast = heard - from <= PAST_INK && phase !== 'resting';
      ink.follow(live.track, isPast ? Math.min(heard, from + MOST_INK) : heard);
      const layout = inTake(zero);
      if (showsInk && ink.count > from) {
        paintInk(front, ink, from, ink.count, layout, palette);
        strays.push(...strayStarts(ink, from));
      }
    }
    const pulse = metronome.pulse;
    const pulseNow = desk.now() - desk.outputLatencySeconds();
    const pulseBeat = pulse ? (pulseNow - pulse.zeroSeconds) / pulse.secondsPerBeat : null;
    const isSeen =
      pulse && pulseBeat !== null && barSounds(pulse, pulseBeat) && beatsSeen && phase !== 'resting';
    const beatNow = isSeen ? pulseBeat : null;
    placeCursor(phase === 'playing' && now > 0 && now < pageSeconds + 0.3 * beat ? page.xAt(now) : null);

    // The page itself is drawn when what it shows has changed, not with every frame of ink.
    const inked = running && showsInk && ink ? ink.count * 0.01 - zero : 0;
    const outlineFrom = Math.max(0, Math.floor(inked / OUTLINE_STEP_SECONDS) * OUTLINE_STEP_SECONDS);
    const here =
      phase === 'playing' && now >= 0 ? written.score.findIndex(({ endBeat }) => now < endBeat * beat) : -1;
    const lampFades = beatNow !== null && !(phase === 'playing' && beatNow >= leadBeats);
    // The outline gives way to the ink; drawn anew with all of the page it would cost a take more than the ink does.
    if (outlineFrom !== wiped) outline.clearRect(0, 0, page.xAt(outlineFrom), ribbonHeight);
    wiped = outlineFrom;
    const shows = JSON.stringify([
      followed,
      strays.length,
      here,
      lampFades ? beatNow : beatNow && Math.floor(beatNow),
      // Words drawn before their faces had come are drawn again.
      document.fonts.status,
    ]);
    if (shows === drawn) return;
    drawn = shows;
    back.clearRect(0, 0, width, paperHeight);
    const { stretches, wantedAt, bendAt, marks } = written;
    paintRules(back, page, palette, labels, bendAt);
    if (ink && strays.length > 0)
      paintStrayLabels(back, ink, strays, inTake(zero), palette, strayLabel, LABEL_FONT);
    outline.clearRect(0, 0, width, ribbonHeight);
    if (phase !== 'resting')
      paintOutlineAhead(outline, page, palette, outlineFrom, stretches, wantedAt, bendAt);
    if (score.length > 1) {
      const names = written.score.flatMap(({ item, startBeat }, i) => {
        const name = itemName(
          item,
          i > 0 ? written.score[i - 1].item : undefined,
          exercise,
          hornId,
          naming,
          t,
        );
        return name === null ? [] : [{ seconds: startBeat * beat, name, isNow: i === here }];
      });
      paintNames(back, page, palette, names, NAME_FONT);
    }
    paintMarks(back, page, palette, marks, ribbonHeight + 30, MARK_FONT);
    if (isOwnTime) return;
    paintBeats(back, page, palette, {
      top: ribbonHeight + MARK_ROW,
      largeTop: height,
      beats: lengthBeats(exercise),
      secondsPerBeat: beat,
      beatsPerBar: exercise.beatsPerBar,
      beatNow,
      leadBeats,
      counting: phase === 'counting',
      running: phase === 'playing',
    });
  };
}
