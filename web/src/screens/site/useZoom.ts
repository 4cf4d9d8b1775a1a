import { select, zoom, zoomIdentity, type D3ZoomEvent, type ZoomTransform } from 'd3';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type RefObject } from 'react';

/** How near and how far a drawing goes. */
const EXTENT: [number, number] = [1, 40];
/** One press on + or on an arrow. */
const STEP = 1.5;
const PAN_PX = 60;

export interface Zoom {
  transform: ZoomTransform;
  nearer: () => void;
  farther: () => void;
  fit: () => void;
  /** `+`, `-`, `0`, and arrows when it is near. */
  onKeyDown: (event: KeyboardEvent<SVGSVGElement>) => void;
}

/**
 * Zoom and pan of a drawing: by two fingers, by the wheel with Ctrl or once the drawing is near, by dragging its ground, by keys.
 *
 * Fitted, a drawing leaves wheel and finger to the page.
 */
export function useZoom(width: number, height: number): [ref: RefObject<SVGSVGElement | null>, zoom: Zoom] {
  const ref = useRef<SVGSVGElement>(null);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const behaviour = useMemo(() => zoom<SVGSVGElement, unknown>().scaleExtent(EXTENT), []);
  const near = useRef(false);
  useEffect(() => {
    const svg = ref.current;
    if (!svg || width === 0) return undefined;
    behaviour
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [0, 0],
        [width, height],
      ])
      .filter((event: MouseEvent | TouchEvent | WheelEvent) => allowed(event, near.current))
      .on('zoom', ({ transform: to }: D3ZoomEvent<SVGSVGElement, unknown>) => {
        near.current = to.k > 1;
        setTransform(to);
      });
    const target = select(svg);
    target.call(behaviour).on('dblclick.zoom', null);
    return () => void target.on('.zoom', null);
  }, [behaviour, width, height]);
  const act = (how: (target: ReturnType<typeof select<SVGSVGElement, unknown>>) => void): void => {
    if (ref.current) how(select<SVGSVGElement, unknown>(ref.current));
  };
  const nearer = (): void => act((target) => behaviour.scaleBy(target, STEP));
  const farther = (): void => act((target) => behaviour.scaleBy(target, 1 / STEP));
  const fit = (): void => act((target) => behaviour.transform(target, zoomIdentity));
  const acts: Record<string, () => void> = { '+': nearer, '=': nearer, '-': farther, '0': fit };
  const on: Zoom = {
    transform,
    nearer,
    farther,
    fit,
    onKeyDown: (event) => {
      const pan = event.target === event.currentTarget ? pans[event.key] : undefined;
      const press = pan
        ? () => act((target) => behaviour.translateBy(target, pan[0] / transform.k, pan[1] / transform.k))
        : acts[event.key];
      if (!press || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      press();
    },
  };
  return [ref, on];
}

const pans: Record<string, readonly [number, number]> = {
  ArrowLeft: [PAN_PX, 0],
  ArrowRight: [-PAN_PX, 0],
  ArrowUp: [0, PAN_PX],
  ArrowDown: [0, -PAN_PX],
};

/** A point under the hand is moved, not the drawing. */
function allowed(event: MouseEvent | TouchEvent | WheelEvent, isNear: boolean): boolean {
  if (event.type === 'wheel') return event.ctrlKey || isNear;
  if ('button' in event && event.button !== 0) return false;
  if (event.target instanceof Element && event.target.closest('[role=button]')) return false;
  return isNear || ('touches' in event && event.touches.length > 1) || !('touches' in event);
}
