import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

/** A finger or mouse that moved less than this only tapped, px. */
const TAP_PX = 6;
/** A finger that rests so long takes hold of a band; sooner, it scrolls. */
const HOLD_MS = 280;

interface Drag {
  readonly upright: boolean;
  /** So far from its place, px. */
  readonly onDraw: (px: number) => void;
  readonly onDrop: (px: number) => void;
  readonly onTap: () => void;
}

/** Lets a band be drawn along its lane: at once by mouse, after a rest by finger. */
export function useChoreDrag(drag: Drag): React.RefObject<View | null> {
  const box = useRef<View | null>(null);
  const latest = useRef(drag);
  useEffect(() => {
    latest.current = drag;
  });
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (!element?.addEventListener) return undefined;
    let held: { readonly at: number; readonly id: number } | null = null;
    let moved = 0;
    let resting: ReturnType<typeof setTimeout> | null = null;
    const along = (event: PointerEvent) => (latest.current.upright ? event.clientY : event.clientX);
    const letGo = () => {
      if (resting) clearTimeout(resting);
      resting = null;
      held = null;
    };
    const take = (event: PointerEvent) => {
      held = { at: along(event), id: event.pointerId };
      moved = 0;
      element.setPointerCapture?.(event.pointerId);
    };
    const down = (event: PointerEvent) => {
      if (event.button !== 0) return;
      moved = 0;
      if (event.pointerType === 'mouse') take(event);
      else resting = setTimeout(() => take(event), HOLD_MS);
    };
    const move = (event: PointerEvent) => {
      if (!held) {
        // A finger that sets off before it has rested scrolls the page.
        if (resting) letGo();
        return;
      }
      moved = along(event) - held.at;
      if (Math.abs(moved) >= TAP_PX) latest.current.onDraw(moved);
    };
    const up = () => {
      const was = held;
      letGo();
      if (was && Math.abs(moved) >= TAP_PX) latest.current.onDrop(moved);
    };
    // What was drawn was not tapped.
    const click = (event: MouseEvent) => {
      if (Math.abs(moved) < TAP_PX) return;
      event.stopPropagation();
      event.preventDefault();
      moved = 0;
    };
    const cancel = () => {
      letGo();
      latest.current.onDraw(0);
    };
    const still = (event: TouchEvent) => {
      if (held) event.preventDefault();
    };
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', cancel);
    element.addEventListener('touchmove', still, { passive: false });
    element.addEventListener('click', click, { capture: true });
    return () => {
      letGo();
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', cancel);
      element.removeEventListener('touchmove', still);
      element.removeEventListener('click', click, { capture: true });
    };
  }, []);
  return box;
}
