import type { NoteNaming } from '@inner-hum/core/horn';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { useRibbonPalette } from '../ribbon/index.ts';
import type { EngravedPhrase } from './engraved.ts';
import { type Engraver, loadEngraver } from './loadEngraver.ts';
import { useEngravingWords } from './useEngravingWords.ts';

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

/** So far below the window a thing is made ready to be seen. */
const AHEAD = '400px';

/** Whether an element has ever come near the window; once it has, it stays so. */
function useNearView(element: RefObject<Element | null>): boolean {
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    if (isNear || !element.current) return undefined;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setNear(true),
      { rootMargin: AHEAD },
    );
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [element, isNear]);
  return isNear;
}
