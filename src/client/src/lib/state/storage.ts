/**
 * The browser's storage, where it gives any: a private window or a strict setting denies it, and a full one takes no more.
 * What cannot be written there lives as long as the page.
 */
const here = new Map<string, string>();

export function keptText(key: string): string | null {
  try {
    return here.get(key) ?? localStorage.getItem(key);
  } catch {
    // Denied: only what this page itself wrote is known.
    return here.get(key) ?? null;
  }
}

/** Writes it down; a browser that refuses leaves it to this page. */
export function keepText(key: string, text: string | null): void {
  try {
    if (text === null) localStorage.removeItem(key);
    else localStorage.setItem(key, text);
    here.delete(key);
  } catch {
    if (text === null) here.delete(key);
    else here.set(key, text);
  }
}

/** What was written as JSON; the fallback when there is nothing, or an older page left another shape. */
export function kept<T>(key: string, fallback: T): T {
  try {
    const text = keptText(key);
    return text === null ? fallback : (JSON.parse(text) as T);
  } catch {
    return fallback;
  }
}

export const keep = (key: string, value: unknown): void => keepText(key, JSON.stringify(value));
