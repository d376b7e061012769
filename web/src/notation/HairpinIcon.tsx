import type { SwellShape } from '@inner-hum/core/exercise';

const PATHS: Record<SwellShape, string> = {
  growFade: 'M2 12 32 3 62 12 32 21Z',
  fade: 'M2 3 62 11V13L2 21Z',
  grow: 'M62 3 2 11V13L62 21Z',
  steady: 'M2 8H62V16H2Z',
};

/** A shape of loudness as the outline the ribbon will fill. */
export function HairpinIcon({ shape }: { shape: SwellShape }) {
  return (
    <svg width={64} height={24} viewBox="0 0 64 24" aria-hidden="true">
      <path d={PATHS[shape]} fill="currentColor" fillOpacity={0.12} stroke="currentColor" strokeWidth={1.8} />
    </svg>
  );
}
