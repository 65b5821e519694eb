import { untrack } from 'svelte';

/** Where the hand goes when what it was on gives way: `{@attach takesHand}`. */
export const takesHand = (node: HTMLElement) => node.focus();

/** The same, only once something else was closed here: `{@attach takesHandAfter(() => closed)}`. */
export const takesHandAfter = (closed: () => boolean) => (node: HTMLElement) => {
  if (untrack(closed)) node.focus();
};

/**
 * What had the focus may be gone after it was pressed: a step that is done, a card that is closed. The hand stays at that place then,
 * on the innermost part of it that is left, instead of falling to the top of the page.
 */
export function keepsHand(root: HTMLElement) {
  /** What has the focus, and what it stands in, up to the root. */
  let path: HTMLElement[] = [];
  const came = (event: FocusEvent) => {
    path = [];
    for (let at = event.target as HTMLElement | null; at; at = at === root ? null : at.parentElement)
      path.push(at);
  };
  /** Some browsers tell of it before what had the focus is taken away: whether it was is seen after that. */
  const left = (event: FocusEvent) => {
    if (event.relatedTarget) return;
    queueMicrotask(() => {
      if (path[0] === event.target && path[0]?.isConnected) path = [];
    });
  };
  const look = new MutationObserver(() => {
    if (!path[0] || path[0].isConnected) return;
    const here = path.find((part) => part.isConnected);
    path = [];
    if (!here || document.activeElement !== document.body) return;
    if (!here.hasAttribute('tabindex')) here.tabIndex = -1;
    here.focus({ preventScroll: true });
  });
  root.addEventListener('focusin', came);
  root.addEventListener('focusout', left);
  look.observe(root, { childList: true, subtree: true });
  return () => {
    look.disconnect();
    root.removeEventListener('focusin', came);
    root.removeEventListener('focusout', left);
  };
}
