import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Version } from './version.svelte';

type Told = { isUpdate?: boolean; isExternal?: boolean };
const told = new Map<string, (event: Told) => void>();
vi.mock('workbox-window', () => ({
  Workbox: class {
    addEventListener = (event: string, hear: (event: Told) => void) => told.set(event, hear);
    register = () => Promise.resolve();
    update = () => Promise.resolve();
    messageSkipWaiting = () => {};
  },
}));

describe('a newer page', () => {
  const begun = (controller: object | null) => {
    Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: { controller } });
    const version = new Version();
    version.begin(true);
    return { version, controlling: (event: Told) => told.get('controlling')?.(event) };
  };
  beforeEach(() => {
    told.clear();
    localStorage.clear();
  });

  it('is not the first one, though a window opened a moment before had fetched it', () => {
    const { version, controlling } = begun(null);
    controlling({ isExternal: true });
    expect(version.newer).toBe(false);
  });
  it('is one that another window took', () => {
    const { version, controlling } = begun({});
    controlling({ isExternal: true });
    expect(version.newer).toBe(true);
  });
  it('is one that another window took after the first had come', () => {
    const { version, controlling } = begun(null);
    controlling({});
    expect(version.newer).toBe(false);
    controlling({ isExternal: true });
    expect(version.newer).toBe(true);
  });
  it('is looked for by whoever comes again or stands at the stove', () => {
    Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: { controller: null } });
    const first = new Version();
    first.begin(false);
    expect(told.size).toBe(0);
    first.begin(true);
    expect(told.size).toBe(2);
    told.clear();
    new Version().begin(false);
    expect(told.size).toBe(2);
  });
  it('is one that waits', () => {
    const { version } = begun({});
    told.get('waiting')?.({});
    expect(version.newer).toBe(true);
  });
});
