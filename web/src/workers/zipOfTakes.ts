import { encodeWav } from '@inner-hum/core/formats';
import { BlobWriter, Uint8ArrayReader, ZipWriter } from '../archive/zip.ts';
import { loadSamples } from '../storage/index.ts';

/** The sound of takes as WAV files in one ZIP, sample for sample; a take whose sound is gone is left out and counted. */
export async function zipOfTakes(
  takes: readonly { id: string; name: string; sampleRateHz: number }[],
  onProgress: (done: number, of: number) => void,
  signal: AbortSignal,
): Promise<{ file: Blob; missing: number }> {
  const zip = new ZipWriter(new BlobWriter('application/zip'));
  const names = new Set<string>();
  let missing = 0;
  for (const [done, { id, name, sampleRateHz }] of takes.entries()) {
    signal.throwIfAborted();
    onProgress(done, takes.length);
    const samples = await loadSamples(id).catch(() => new Float32Array(0));
    if (samples.length === 0) {
      missing++;
      continue;
    }
    const file = names.has(name) ? `${name} ${done + 1}` : name;
    names.add(file);
    await zip.add(`${file}.wav`, new Uint8ArrayReader(await encodeWav({ samples, sampleRateHz })));
  }
  return { file: await zip.close(), missing };
}
