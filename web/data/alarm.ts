import type { Call } from '../../core/batch';
import { commonWords } from '../words';

/** How a call sounds: notes (Hz) one after the other, and how long until it sounds again, real milliseconds. */
const SOUND: Readonly<Record<Exclude<Call, 'none'>, { notesHz: readonly number[]; againMs: number }>> = {
  due: { notesHz: [587, 784], againMs: 30_000 },
  late: { notesHz: [587, 784, 587, 784], againMs: 12_000 },
  urgent: { notesHz: [784, 988, 784, 988, 784, 988], againMs: 4_000 },
};
const NOTE_S = 0.16;
const LOUD = 0.22;

const MUTED_KEY = 'slow-pot-muted';

let context: AudioContext | null = null;
let lastAtMs = 0;
let lastCall: Call = 'none';

export function isMuted(): boolean {
  return localStorage.getItem(MUTED_KEY) === 'yes';
}

export function setMuted(muted: boolean): void {
  localStorage.setItem(MUTED_KEY, muted ? 'yes' : 'no');
}

/** A browser makes no sound before it has been touched: the first touch or key wakes it. */
export function wakeSoundOnTouch(): () => void {
  const wake = () => {
    context ??= new AudioContext();
    if (context.state === 'suspended') void context.resume();
  };
  window.addEventListener('pointerdown', wake);
  window.addEventListener('keydown', wake);
  return () => {
    window.removeEventListener('pointerdown', wake);
    window.removeEventListener('keydown', wake);
  };
}

/**
 * Calls by sound, by shaking a phone, and by a notice where the page is not in sight: at once when a call gets louder,
 * then again and again as its loudness has it. Says whether it called.
 */
export function sound(call: Call, words: string, nowMs = Date.now()): boolean {
  const isLouder = ORDER.indexOf(call) > ORDER.indexOf(lastCall);
  lastCall = call;
  if (call === 'none') return false;
  if (!isLouder && nowMs - lastAtMs < SOUND[call].againMs) return false;
  lastAtMs = nowMs;
  if (!isMuted()) {
    play(SOUND[call].notesHz);
    if (navigator.userActivation?.hasBeenActive)
      navigator.vibrate?.(call === 'urgent' ? [300, 120, 300, 120, 300] : [200]);
  }
  if (
    document.visibilityState === 'hidden' &&
    'Notification' in window &&
    Notification.permission === 'granted'
  )
    new Notification(commonWords.slowPot, { body: words, tag: 'slow-pot-call' });
  return true;
}
const ORDER: readonly Call[] = ['none', 'due', 'late', 'urgent'];

/** Two tones that sit above the noise of a kitchen, with soft ends. */
function play(notesHz: readonly number[]): void {
  if (context?.state !== 'running') return;
  const gain = context.createGain();
  gain.connect(context.destination);
  const startS = gain.context.currentTime + 0.02;
  notesHz.forEach((hz, i) => {
    const tone = gain.context.createOscillator();
    tone.type = 'triangle';
    tone.frequency.value = hz;
    tone.connect(gain);
    tone.start(startS + i * NOTE_S);
    tone.stop(startS + (i + 0.85) * NOTE_S);
  });
  const endS = startS + notesHz.length * NOTE_S;
  gain.gain.setValueAtTime(0, startS);
  gain.gain.linearRampToValueAtTime(LOUD, startS + 0.02);
  gain.gain.setValueAtTime(LOUD, endS - 0.04);
  gain.gain.linearRampToValueAtTime(0, endS);
}

/** Asks whether notices may be shown; the browser asks the cook. */
export async function allowNotices(): Promise<boolean> {
  if (!('Notification' in window)) return false;
  return (await Notification.requestPermission()) === 'granted';
}

/** Keeps the screen awake while pots are on; given up and taken again as the page goes out of sight and comes back. */
export function keepAwake(): () => void {
  let lock: { release(): Promise<void> } | null = null;
  let isWanted = true;
  const take = async () => {
    if (!isWanted || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    try {
      lock = await navigator.wakeLock.request('screen');
      // the last pot may have gone while the browser was asked
      if (!isWanted) void lock.release();
    } catch {
      // a browser may refuse on low battery; the pot goes on all the same
      lock = null;
    }
  };
  document.addEventListener('visibilitychange', take);
  void take();
  return () => {
    isWanted = false;
    document.removeEventListener('visibilitychange', take);
    void lock?.release();
  };
}
