import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { decodeWav } from '@inner-hum/core/formats';
import { columnValue, listenTo } from '@inner-hum/core/hearing';
import { hornById, isHornId, nameNote, nearestMidi, toWritten } from '@inner-hum/core/horn';
import { median } from '@inner-hum/core/stats';
import { findToneSpan } from '@inner-hum/core/tone';

// The core over WAV files: what the app would hear, one line a file.
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { horn: { type: 'string', default: 'alto' }, a4: { type: 'string', default: '440' } },
});
const a4Hz = Number(values.a4);
if (!isHornId(values.horn) || !(a4Hz >= 390 && a4Hz <= 470) || positionals.length === 0) {
  console.error(
    'Usage: npm run -s analyse -- FILE.wav [MORE.wav] --horn soprano|alto|tenor|baritone --a4 390-470',
  );
  process.exit(2);
}
const horn = hornById(values.horn);
let exitCode = 0;

for (const file of positionals) {
  try {
    const { samples, sampleRateHz } = decodeWav(readFileSync(file));
    const track = listenTo(samples, sampleRateHz);
    const span = findToneSpan(track, null);
    if (!span) {
      console.log(`${file}: no tone`);
      continue;
    }
    const pitches: number[] = [];
    for (let i = span.first; i <= span.last; i++) {
      const f0Hz = columnValue(track.columns.f0Hz, i);
      if (f0Hz !== null) pitches.push(f0Hz);
    }
    const f0Hz = median(pitches) ?? 0;
    const midi = nearestMidi(f0Hz, a4Hz);
    const { stem, accidental, octave } = nameNote(toWritten(midi, horn), 'letters');
    const cents = 1200 * Math.log2(f0Hz / (a4Hz * 2 ** ((midi - 69) / 12)));
    const level = median(track.columns.levelDb.subarray(span.first, span.last + 1)) ?? 0;
    const [from, to] = [span.first / 100, span.last / 100].map((seconds) => seconds.toFixed(2));
    console.log(
      `${file}: written ${stem}${accidental && ` ${accidental}`} ${octave}, ${from}-${to} s, ` +
        `${f0Hz.toFixed(2)} Hz, ${cents >= 0 ? '+' : ''}${cents.toFixed(1)} cents, ${level.toFixed(1)} dBFS`,
    );
  } catch (error) {
    console.error(`${file}: ${error instanceof Error ? error.message : String(error)}`);
    exitCode = 2;
  }
}
process.exit(exitCode);
