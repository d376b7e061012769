import { writePage, measuredOn } from '../report.ts';
import { OURS, PITCHY } from './ears.ts';
import { measureEars, type KindRow } from './measureEars.ts';
import { measureBreath } from './measureBreath.ts';
import { EVENT_ROOMS, measureHistories } from './measureEvents.ts';
import { measureFreePlay } from './measureFreePlay.ts';
import { measureLookAhead } from './lookAhead.ts';
import { loadPeers } from './peers.ts';
import { measureSpeed } from './speed.ts';
import { measureSampled, renderHorns } from './sampledHorns.ts';

const table = (head: readonly string[], rows: readonly (readonly string[])[]) =>
  [head, head.map(() => '---'), ...rows].map((row) => `| ${row.join(' | ')} |`).join('\n');
const number = (value: number | null, digits: number) =>
  value === null || Number.isNaN(value) ? '-' : value.toFixed(digits);
/** Without needless zeros: 0, 1.3, 12. */
const percent = (value: number) => (value === 0 ? '0' : value < 10 ? value.toFixed(2) : value.toFixed(0));

/** Kinds down, ears across. */
function across(rows: readonly KindRow[], cell: (row: KindRow) => string, bound = false): string {
  const ears = [...new Set(rows.map(({ ear }) => ear))];
  const kinds = [...new Set(rows.map(({ kind }) => kind))];
  return table(
    ['sound', ...ears, ...(bound ? ['bound'] : [])],
    kinds.map((kind) => {
      const own = rows.filter((row) => row.kind === kind);
      return [kind, ...own.map(cell), ...(bound ? [number(own[0].boundCents, 3)] : [])];
    }),
  );
}

/** Measures the ear beside general pitch libraries and writes docs/hearing.md. */
export async function benchEar(): Promise<void> {
  const ears = [OURS, PITCHY, ...(await loadPeers())];
  // First, in a process that has heard nothing yet, as it is in the app.
  const speed = measureSpeed(ears);
  const at48 = measureEars(ears, 48000);
  const others = [44100, 96000].map((rate) => ({ rate, ...measureEars([OURS], rate) }));
  const rooms = EVENT_ROOMS.map(({ name, fault }) => ({ name, ...measureHistories(fault) }));
  const breath = measureBreath();
  const free = measureFreePlay();
  const lookAhead = measureLookAhead();
  const notes = renderHorns();
  const sampled = notes && measureSampled(ears, notes);
  const [ours] = at48.ears;
  const [cost] = speed.secondsPerSecond;
  const onset = (row: KindRow) => (row.onsetMs === null ? '' : `; onset ${number(row.onsetMs.median, 0)} ms`);

  writePage(
    'hearing.md',
    `# What the ear hears, and how truly

\`npm run bench -- ear\` measures this and writes this page. ${measuredOn(null)}

Every ear is asked for the pitch at frames 10 ms apart, the frame's time being the middle of the window it looks at. The
others are general libraries at their best window here, 2048 samples (pitchy MIT; pitchfinder, aubiojs and essentia.js are copyleft and are
installed for this comparison only). Cents are over frames that are not gross, that is, within 50 cents.

## Exact sounds

Twelve pitches of 65-2500 Hz (voice: 82-1000 Hz), 48 kHz, made by the bench itself and not by the simulated player; scored
where settled, or in the first 50 ms of a tone, or within 50 ms of a jump to another partial. Median / 95th percentile of the
error in cents. The bound is the median that no unbiased estimator can better in our own window of one frame
(Cramer-Rao); a frame that looks at its neighbours may come closer.

${across(at48.kinds, (row) => `${number(row.medianCents, 3)} / ${number(row.p95Cents, 2)}`, true)}

Frames missed / grossly wrong / of those an octave or more, in per cent:

${across(
  at48.kinds,
  (row) =>
    `${percent(row.missedPercent)} / ${percent(row.grossPercent)} / ${percent(row.octavePercent)}${onset(row)}`,
)}

The onset here is the first of five right frames against the middle of the attack; half its window reaches ahead of it.

${table(
  [
    'ear',
    'processor ms for a second of sound',
    ...Object.keys(ours.falsePercent).map((kind) => `false pitch in ${kind}, %`),
  ],
  at48.ears.map((row, i) => [
    row.ear,
    number(1000 * speed.secondsPerSecond[i], 1),
    ...Object.values(row.falsePercent).map(percent),
  ]),
)}

Three notes of 6 s, every ear in turn, nine rounds, before the process has heard anything else. Ours gives level, clarity, colour, breath and harmonics beside the pitch. In this run it is ${number(speed.ratio, 1)} times as fast as pitchy
and hears ${number(1 / cost, 0)} times faster than real time: live, ${number(100 * cost, 1)} % of a core. A frame is told at most
${number(lookAhead.above242Ms, 0)} ms after its middle above 242 Hz and ${number(lookAhead.below242Ms, 0)} ms below (there most are as early, but the octave below is looked for), while the tone is settled; after silence or a change
${number(lookAhead.unsettledMs, 0)} ms at any pitch. Live and offline give the same frames, bit by bit.

At other rates, ours, median / 95th percentile in cents; missed / gross / octave in per cent:

${table(
  ['sound', ...others.map(({ rate }) => `${rate / 1000} kHz`)],
  others[0].kinds.map(({ kind }, i) => [
    kind,
    ...others.map(({ kinds }) => {
      const row = kinds[i];
      return `${number(row.medianCents, 3)} / ${number(row.p95Cents, 2)}; ${percent(row.missedPercent)} / ${percent(row.grossPercent)} / ${percent(row.octavePercent)}`;
    }),
  ]),
)}

## Events

Takes in which everything happens once: air, tone, a jump, a crack of 60-120 ms, a squeak, a gap, and an end that is clean
or sags. Found means within 30 ms of the truth.

${rooms
  .map(
    (room) => `**${room.name}**

${table(
  ['event', 'played', 'recall %', 'precision %', 'time off, median ms', '95 % ms'],
  room.events.map((row) => [
    row.event,
    `${row.count}`,
    number(row.recallPercent, 1),
    number(row.precisionPercent, 1),
    number(row.medianMs, 1),
    number(row.p95Ms, 1),
  ]),
)}

toneOnset off by ${number(room.toneOnsetMs.median, 1)} ms (95 %: ${number(room.toneOnsetMs.p95, 1)}), responseMs by ${number(room.responseMs.median, 1)} ms (95 %: ${number(room.responseMs.p95, 1)}; not told
${percent(room.responseMs.missedPercent)} %); the end called what it was in ${number(room.releasePercent, 0)} % of takes.`,
  )
  .join('\n\n')}

noiseToHarmonicDb against the noise put in, as means over 100 ms:

${table(
  ['breath, dB', 'off, median dB', '95 % dB'],
  breath.map((row) => [number(row.noiseToHarmonicDb, 0), number(row.medianDb, 2), number(row.p95Db, 2)]),
)}

Free playing, no exercise known, with clicks all along and a second of speech in the middle of each of twelve lines:
${free.notes} notes played, ${number(free.foundPercent, 1)} % found; ${free.falseNotes} notes heard that nobody played, ${free.ofSpeech} of them in the speech.

## Sampled saxophones

${
  sampled === null
    ? 'Not measured in this run: fluidsynth and timgm6mb-soundfont of Debian are not installed.'
    : `Soprano to baritone from a Debian sound font (timgm6mb-soundfont, rendered with fluidsynth). Nobody knows the truth of a
recording: this is agreement with the pitch that the phases of twelve harmonics give in 100 ms windows of the clean sound; cents only where
that pitch moves by less than 2 cents in 50 ms.

${table(
  ['room', 'ear', 'median cents', '95 % cents', 'missed %', 'gross %', 'octave %'],
  sampled.map((row) => [
    row.room,
    row.ear,
    number(row.medianCents, 3),
    number(row.p95Cents, 2),
    percent(row.missedPercent),
    percent(row.grossPercent),
    percent(row.octavePercent),
  ]),
)}`
}
`,
  );
  for (const row of at48.kinds.filter(({ ear }) => ear === OURS.name))
    console.log(
      `${row.kind}: median ${number(row.medianCents, 3)}, 95 % ${number(row.p95Cents, 2)} cents; missed ${percent(row.missedPercent)} %, gross ${percent(row.grossPercent)} %`,
    );
  console.log(
    `listener against pitchy: ${number(speed.ratio, 2)} : 1; ${number(1 / cost, 0)} times real time`,
  );
}
