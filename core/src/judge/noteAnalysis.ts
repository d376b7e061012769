import type { NoteItem, TimedItem } from '../exercise/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import { hornById, nearestMidi, toWritten } from '../horn/index.ts';
import type { Finding } from './finding.ts';
import type { Found } from './follow.ts';
import type { NoteAnalysis } from './itemAnalysis.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { Judging } from './judging.ts';
import { noteFindings } from './noteFindings.ts';
import { reachVerdict, type Verdict } from './verdict.ts';

/** What became of one written note: missed, something else in its place, or played and measured. */
export function noteAnalysis(
  judging: Judging,
  { item, startBeat, endBeat }: TimedItem<NoteItem>,
  index: number,
  found: Found | null,
  judged: JudgedNote | null,
  zero: number,
): NoteAnalysis {
  const { context, tolerance, secondsPerBeat } = judging;
  const verdictOf = (findings: readonly Finding[], plain: Finding): Verdict =>
    reachVerdict(findings, plain, item.judged, tolerance);
  const common = { kind: 'note', item: index, writtenMidi: item.writtenMidi } as const;
  if (!found || !judged) {
    const heardMidi =
      found && toWritten(nearestMidi(found.soundingHz, context.a4Hz), hornById(context.hornId));
    const finding: Finding = heardMidi === null ? { kind: 'missed' } : { kind: 'wrongNote', heardMidi };
    return {
      ...common,
      status: found ? 'wrongNote' : 'missed',
      heardMidi,
      startSeconds: found && found.span.first * FRAME_SECONDS,
      endSeconds: found && found.span.last * FRAME_SECONDS,
      measures: null,
      events: [],
      verdict: verdictOf([finding], finding),
    };
  }
  const { measures, events, span, onsetSeconds: onset } = judged;
  const findings = noteFindings({
    note: item,
    measures,
    events,
    onsetSeconds: onset,
    tolerance,
    writtenSeconds: (endBeat - startBeat) * secondsPerBeat,
    writtenEndSeconds: zero + endBeat * secondsPerBeat,
    breathHeard: events.some(({ type }) => type === 'breath'),
  });
  const { bendRangeCents, colourSpan } = measures;
  const plain: Finding =
    typeof bendRangeCents === 'number'
      ? { kind: 'bent', cents: bendRangeCents }
      : typeof colourSpan === 'number'
        ? { kind: 'colourMoved', harmonics: colourSpan, spreadCents: measures.centsSpread ?? 0 }
        : item.open && measures.holdSeconds !== null && measures.holdCause !== null
          ? { kind: 'held', seconds: measures.holdSeconds, cause: measures.holdCause }
          : { kind: 'even', errorDb: measures.swellErrorDb ?? 0, spreadCents: measures.centsSpread ?? 0 };
  return {
    ...common,
    status: 'played',
    heardMidi: null,
    startSeconds: onset,
    endSeconds: span.last * FRAME_SECONDS,
    measures,
    events,
    verdict: item.open ? withFirst(plain, verdictOf(findings, plain)) : verdictOf(findings, plain),
  };
}

/** How long it held is what an open note is about, whatever else stood out. */
function withFirst(first: Finding, verdict: Verdict): Verdict {
  const others = verdict.findings.filter(({ kind }) => kind !== first.kind);
  return { ...verdict, findings: [first, ...others].slice(0, 2) };
}
