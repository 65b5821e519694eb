import type { StoveState } from '../../api/client';

const key = 'bright-kettle.alarms';

export type AlarmWishes = { sound: boolean; speech: boolean; quiet: boolean };

/** One thing that rings. */
export type Ringing = { id: string; text: string; at: number };

/** A moment rings so long before it is due, in minutes. */
const before: Record<string, number> = { join: 10, light: 2, table: 5 };

type Waker = { release: () => Promise<void> };

/**
 * Rings when something is due: by sound, light, vibration, title, notification and, if wished, a spoken sentence.
 * What has rung is not rung again until it is put off or its time moves.
 */
export class Alarms {
  wishes = $state<AlarmWishes>(read());
  ringing = $state.raw<Ringing[]>([]);
  /** Whether the screen is kept awake. */
  awake = $state(false);
  #done: string[] = [];
  #later: Record<string, number> = {};
  #sound: AudioContext | null = null;
  #waker: Waker | null = null;
  #next = 0;

  /** Looks at what is due; called as the clock moves on. */
  watch(state: StoveState, now: number, words: (id: string) => string) {
    const due: Ringing[] = [];
    const take = (id: string, at: number, lead: number) => {
      const stamp = `${id}@${Math.round(at / 60_000)}`;
      const from = this.#later[id] ?? at - lead * 60_000;
      if (now >= from && !this.#done.includes(stamp)) due.push({ id, text: words(id), at });
    };
    for (const m of state.moments) {
      // What waits for an event is only asked for when nearly every pot has come to it.
      if (m.state === 'waiting' && m.due)
        take(
          m.id,
          Date.parse(m.waits.event ? m.due.late : m.due.at),
          m.waits.event ? 0 : (before[m.step?.kind ?? ''] ?? 0),
        );
    }
    for (const v of state.visits) take(`visit:${v.code}:${v.vesselId}`, Date.parse(v.at), 0);
    const fresh = due.filter((d) => !this.ringing.some((r) => r.id === d.id));
    if (due.length !== this.ringing.length || fresh.length > 0) this.ringing = due;
    if (due.length > 0 && (fresh.length > 0 || now >= this.#next)) {
      this.#next = now + 20_000;
      this.#ring(due, fresh);
    }
    document.title = due[0] ? `● ${due[0].text} · Bright Kettle` : `${state.title} · Bright Kettle`;
  }

  /** Heard: rings no more for this time. */
  hush(id: string) {
    const it = this.ringing.find((r) => r.id === id);
    if (it) this.#done.push(`${id}@${Math.round(it.at / 60_000)}`);
    delete this.#later[id];
    this.ringing = this.ringing.filter((r) => r.id !== id);
  }

  snooze(id: string, now: number, minutes: number) {
    this.#later[id] = now + minutes * 60_000;
    this.ringing = this.ringing.filter((r) => r.id !== id);
  }

  set(wishes: Partial<AlarmWishes>) {
    this.wishes = { ...this.wishes, ...wishes };
    localStorage.setItem(key, JSON.stringify(this.wishes));
  }

  /** Browsers allow sound, notifications and a screen kept awake only after a tap: this is called by one. */
  async allow() {
    this.#sound ??= new AudioContext();
    await this.#sound.resume();
    if ('Notification' in window && Notification.permission === 'default')
      await Notification.requestPermission();
    await this.keepAwake();
  }

  async keepAwake() {
    if (!('wakeLock' in navigator)) return;
    try {
      this.#waker = await navigator.wakeLock.request('screen');
      this.awake = true;
    } catch {
      // Refused while the battery is low or the page is hidden: said on the page by awake staying false.
      this.awake = false;
    }
  }

  async rest() {
    await this.#waker?.release();
    this.#waker = null;
    this.awake = false;
    await this.#sound?.close();
    this.#sound = null;
  }

  #ring(all: Ringing[], fresh: Ringing[]) {
    if (this.wishes.quiet) return;
    if (this.wishes.sound) this.#tone();
    if ('vibrate' in navigator && navigator.userActivation?.hasBeenActive) navigator.vibrate([250, 120, 250]);
    if (fresh[0] && 'Notification' in window && Notification.permission === 'granted' && document.hidden)
      new Notification('Bright Kettle', { body: fresh[0].text, tag: fresh[0].id });
    if (this.wishes.speech && 'speechSynthesis' in window && all[0])
      speechSynthesis.speak(new SpeechSynthesisUtterance(all[0].text));
  }

  /** Three rising strokes on an enamel rim. */
  #tone() {
    const sound = this.#sound;
    if (!sound || sound.state !== 'running') return;
    [660, 880, 1320].forEach((pitch, i) => {
      const at = sound.currentTime + i * 0.28;
      const [tone, gain] = [sound.createOscillator(), sound.createGain()];
      tone.frequency.value = pitch;
      tone.type = 'triangle';
      gain.gain.setValueAtTime(0.0001, at);
      gain.gain.exponentialRampToValueAtTime(0.35, at + 0.02);
      gain.gain.exponentialRampToValueAtTime(0.0001, at + 0.5);
      tone.connect(gain).connect(sound.destination);
      tone.start(at);
      tone.stop(at + 0.55);
    });
  }
}

function read(): AlarmWishes {
  const usual = { sound: true, speech: false, quiet: false };
  try {
    return { ...usual, ...(JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<AlarmWishes>) };
  } catch {
    return usual;
  }
}
