import type { PullKind, Pulling } from '../../state/pull.svelte';

type Pull = (kind: PullKind, minutes: number, quick: boolean) => void;

/** Minutes that a key moves a moment by; 0 puts it back; null for a key that is not the handle's. */
export function keyed(key: string, far: boolean, by: number): number | null {
  const step = far ? 5 : 1;
  if (key === 'Home' || key === 'Escape') return 0;
  const more = {
    ArrowLeft: -step,
    ArrowDown: -step,
    ArrowRight: step,
    ArrowUp: step,
    PageDown: -10,
    PageUp: 10,
  }[key];
  return more === undefined ? null : by + more;
}

/** A moment in the hand: which, where the finger took it, and how far it was pulled then. */
export class Dragging {
  held = $state<{ kind: PullKind; x: number; by: number } | null>(null);

  constructor(
    private readonly pulling: () => Pulling,
    private readonly pull: () => Pull,
    /** Minutes between two places on the screen, px. */
    private readonly between: (from: number, to: number) => number,
  ) {}

  take(event: PointerEvent, kind: PullKind) {
    event.stopPropagation();
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.held = { kind, x: event.clientX, by: this.pulling().by[kind] };
  }

  move(event: PointerEvent) {
    if (!this.held) return;
    event.stopPropagation();
    this.pull()(this.held.kind, this.held.by + this.between(this.held.x, event.clientX), true);
  }

  drop() {
    this.held = null;
    this.pulling().settle();
  }

  press(event: KeyboardEvent, kind: PullKind) {
    const minutes = keyed(event.key, event.shiftKey, this.pulling().by[kind]);
    if (minutes === null) return;
    this.pull()(kind, minutes, false);
    event.preventDefault();
  }
}
