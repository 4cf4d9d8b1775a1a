import { select, zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3';
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { MAX_PX_PER_MM, pxPerMm, RULER_PAD, rulerScale, type RulerScale } from './scale.js';

export interface RulerView {
  scale: RulerScale;
  /** Times larger than the whole run on the screen. */
  magnification: number;
  /** Goes on the element that takes wheel, pinch and drag. */
  surface: RefObject<HTMLDivElement | null>;
  zoomBy: (factor: number, aroundM?: number) => void;
  /** By a share of what is shown. */
  panBy: (share: number) => void;
  whole: () => void;
}

/**
 * What part of the run is shown: wheel with Ctrl or a pinch zooms, dragging the background moves along the ruler.
 *
 * @param totalM length of the run, m
 * @param width of the drawing, px
 */
export function useRulerView(totalM: number, width: number): RulerView {
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const surface = useRef<HTMLDivElement>(null);
  const behaviour = useRef<ZoomBehavior<HTMLDivElement, unknown>>(null);
  const base = useMemo(() => rulerScale(totalM, width), [totalM, width]);
  const most = Math.max(1, MAX_PX_PER_MM / pxPerMm(base));
  const scale = useMemo(() => transform.rescaleX(base), [transform, base]);

  useEffect(() => {
    const node = surface.current;
    if (!node || width === 0) return undefined;
    const made = zoom<HTMLDivElement, unknown>()
      .extent([
        [RULER_PAD, 0],
        [width - RULER_PAD, 1],
      ])
      .translateExtent([
        [RULER_PAD, 0],
        [width - RULER_PAD, 1],
      ])
      .scaleExtent([1, most])
      .filter((event: Event) => wanted(event))
      .on('zoom', ({ transform: to }: { transform: ZoomTransform }) => setTransform(to));
    behaviour.current = made;
    select(node).call(made).on('dblclick.zoom', null);
    return () => void select(node).on('.zoom', null);
  }, [width, most]);

  const act = useCallback(
    (change: (made: ZoomBehavior<HTMLDivElement, unknown>, node: HTMLDivElement) => void) => {
      if (behaviour.current && surface.current) change(behaviour.current, surface.current);
    },
    [],
  );
  const zoomBy = useCallback(
    (factor: number, aroundM?: number) =>
      act((made, node) => {
        const x = aroundM === undefined ? width / 2 : scale(aroundM);
        made.scaleBy(select(node), factor, [x, 0]);
        if (aroundM !== undefined) made.translateTo(select(node), base(aroundM), 0);
      }),
    [act, width, scale, base],
  );
  const panBy = useCallback(
    (share: number) => act((made, node) => made.translateBy(select(node), (-share * width) / transform.k, 0)),
    [act, width, transform.k],
  );
  const whole = useCallback(() => act((made, node) => made.transform(select(node), zoomIdentity)), [act]);
  return { scale, magnification: transform.k, surface, zoomBy, panBy, whole };
}

/** A plain wheel scrolls the page, and a press on a piece is the piece’s. */
function wanted(event: Event): boolean {
  if (event instanceof WheelEvent) return event.ctrlKey || event.metaKey;
  if (event.target instanceof Element && event.target.closest('button')) return false;
  if ('touches' in event && event instanceof TouchEvent) return event.touches.length > 1;
  return !(event instanceof MouseEvent) || event.button === 0;
}
