import type { NoteNaming } from '@inner-hum/core/horn';
import { useEffect, useRef, useState } from 'react';
import { useRibbonPalette } from '../ribbon/index.ts';
import type { EngravedPhrase } from './engraved.ts';
import { loadEngraver, type Engraver } from './loadEngraver.ts';
import { useEngravingWords } from './useEngravingWords.ts';
import { useNearView } from './useNearView.ts';

interface EngravingProps {
  phrases: readonly EngravedPhrase[];
  width: number;
  naming: NoteNaming;
  label: string;
  /** 1: a staff of 40 px. */
  scale?: number;
  /** Lines after this many are left out. */
  mostLines?: number;
  /** On paper everything is black. */
  onPaper?: boolean;
}

/** Engraved lines of music, each a picture of its own so that pages break between them. */
export function Engraving(props: EngravingProps) {
  const { phrases, width, naming, label, scale = 1, mostLines = Infinity, onPaper = false } = props;
  const words = useEngravingWords(naming);
  const palette = useRibbonPalette();
  const frame = useRef<HTMLDivElement>(null);
  const [engraver, setEngraver] = useState<Engraver | null>(null);
  // On paper all of it is wanted at once; on a screen what is near.
  const isWanted = useNearView(frame) || onPaper;
  const ink = onPaper ? '#000' : palette.ink;
  useEffect(() => {
    let here = true;
    // Without the engraver the words beside it still say what there is to play.
    void loadEngraver().then(
      (loaded) => here && setEngraver(loaded),
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, []);
  useEffect(() => {
    if (!engraver || !isWanted || !frame.current || width <= 0) return;
    frame.current.replaceChildren(
      ...engraver.engrave(phrases, { width: width / scale, scale, ink, mostLines, words }),
    );
  }, [engraver, isWanted, phrases, width, scale, ink, mostLines, words]);
  return (
    <div
      ref={frame}
      role="img"
      aria-label={label}
      className="engraving"
      data-engraved={engraver ? 'yes' : 'no'}
    />
  );
}
