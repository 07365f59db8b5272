import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

/** The module remembers when it last called: each test loads its own. */
async function alarm(page: { visible?: boolean; muted?: boolean; touched?: boolean } = {}) {
  vi.resetModules();
  const notices: string[] = [];
  const shaken: unknown[] = [];
  vi.stubGlobal('localStorage', { getItem: () => (page.muted ? 'yes' : null), setItem: vi.fn() });
  vi.stubGlobal('navigator', {
    vibrate: (pattern: unknown) => shaken.push(pattern),
    userActivation: { hasBeenActive: page.touched ?? true },
  });
  vi.stubGlobal('document', { visibilityState: page.visible === false ? 'hidden' : 'visible' });
  class Notice {
    static permission = 'granted';
    constructor(_title: string, options: { body: string }) {
      notices.push(options.body);
    }
  }
  vi.stubGlobal('Notification', Notice);
  vi.stubGlobal('window', { Notification: Notice });
  return { ...(await import('./alarm')), notices, shaken };
}

describe('a call is heard', () => {
  beforeEach(() => vi.useRealTimers());
  afterEach(() => vi.unstubAllGlobals());

  it('at once, and again the sooner the louder it is', async () => {
    const { sound } = await alarm();
    expect(sound('none', '', 0)).toBe(false);
    expect(sound('due', 'look in', 1000)).toBe(true);
    expect(sound('due', 'look in', 20_000)).toBe(false);
    expect(sound('due', 'look in', 31_001)).toBe(true);
    expect(sound('late', 'look in', 32_000)).toBe(true);
    expect(sound('urgent', 'look in', 33_000)).toBe(true);
    expect(sound('urgent', 'look in', 36_000)).toBe(false);
    expect(sound('urgent', 'look in', 37_001)).toBe(true);
  });
  it('by a notice where the page is out of sight', async () => {
    const hidden = await alarm({ visible: false });
    hidden.sound('due', 'chowder: look in now', 1000);
    expect(hidden.notices).toEqual(['chowder: look in now']);
    const seen = await alarm();
    seen.sound('due', 'chowder: look in now', 1000);
    expect(seen.notices).toEqual([]);
  });
  it('not by shaking where it is to be silent, or before the page was touched', async () => {
    const silent = await alarm({ muted: true });
    expect(silent.sound('urgent', 'x', 1000)).toBe(true);
    expect(silent.shaken).toEqual([]);
    const untouched = await alarm({ touched: false });
    untouched.sound('urgent', 'x', 1000);
    expect(untouched.shaken).toEqual([]);
    const touched = await alarm();
    touched.sound('urgent', 'x', 1000);
    expect(touched.shaken).toHaveLength(1);
  });
});

describe('the screen stays awake while pots are on', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('is taken, taken again when the page comes back, and given up with the last pot', async () => {
    const { keepAwake } = await alarm();
    const released = vi.fn(async () => undefined);
    const request = vi.fn(async () => ({ release: released }));
    const listeners = new Map<string, () => void>();
    vi.stubGlobal('navigator', { wakeLock: { request } });
    vi.stubGlobal('document', {
      visibilityState: 'visible',
      addEventListener: (type: string, listener: () => void) => listeners.set(type, listener),
      removeEventListener: (type: string) => listeners.delete(type),
    });
    const stop = keepAwake();
    await vi.waitFor(() => expect(request).toHaveBeenCalledTimes(1));
    expect(request).toHaveBeenCalledWith('screen');
    listeners.get('visibilitychange')!();
    await vi.waitFor(() => expect(request).toHaveBeenCalledTimes(2));
    stop();
    expect(released).toHaveBeenCalled();
    expect(listeners.size).toBe(0);
  });
  it('is given up too when the last pot went while the browser was still asked', async () => {
    const { keepAwake } = await alarm();
    const released = vi.fn(async () => undefined);
    let grant = (_lock: { release: typeof released }) => {};
    const request = () => new Promise((resolve) => (grant = resolve));
    vi.stubGlobal('navigator', { wakeLock: { request } });
    vi.stubGlobal('document', {
      visibilityState: 'visible',
      addEventListener: vi.fn(),
      removeEventListener: vi.fn(),
    });
    const stop = keepAwake();
    stop();
    grant({ release: released });
    await vi.waitFor(() => expect(released).toHaveBeenCalledTimes(1));
  });
  it('goes on without it where a browser refuses', async () => {
    const { keepAwake } = await alarm();
    const request = vi.fn(async () => Promise.reject(new Error('battery')));
    vi.stubGlobal('navigator', { wakeLock: { request } });
    vi.stubGlobal('document', {
      visibilityState: 'visible',
      addEventListener: vi.fn(),
      removeEventListener: vi.fn(),
    });
    const stop = keepAwake();
    await vi.waitFor(() => expect(request).toHaveBeenCalled());
    expect(stop).not.toThrow();
  });
});
