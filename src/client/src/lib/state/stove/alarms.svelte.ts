import { lastAnswer } from '../../format/stove';
import { say } from '../../messages/say';
import type { StoveState } from '../../api/client';
import { keep, kept } from '../storage';

const key = 'bright-kettle.alarms';

export type AlarmWishes = { sound: boolean; speech: boolean; quiet: boolean };

/** One thing that rings. */
export type Ringing = { id: string; text: string; at: number };

/** A moment rings so long before it is due, in minutes. */
const before: Record<string, number> = { join: 10, light: 2, table: 5 };

/** What is due so much later than it was heard, ms, was put there by something that was told: it rings again then. */
const setAnew = 4 * 60_000;

type Waker = { release: () => Promise<void> };

/**
 * Rings when something is due: by sound, light, vibration, title, notification and, if wished, a spoken sentence.
 * What was heard is quiet until something new is due: another thing, or the same one after its time was set anew. A
 * forecast that moves by a minute with each minute that passes is nothing new.
 */
export class Alarms {
  wishes = $state<AlarmWishes>(read());
  ringing = $state.raw<Ringing[]>([]);
  /** Whether the screen is kept awake. */
  awake = $state(false);
  /** When each was heard. */
  #heard: Record<string, number> = {};
  #later: Record<string, number> = {};
  #sound: AudioContext | null = null;
  #waker: Waker | null = null;
  #next = 0;

  /**
   * Looks at what is due; called as the clock moves on.
   * @param others Dishes that are on the stove beside it: they ring by their names.
   */
  watch(
    state: StoveState,
    now: number,
    words: (evening: StoveState, id: string) => string,
    others: StoveState[] = [],
  ) {
    const due: Ringing[] = [];
    const take = (id: string, text: () => string, at: number, lead: number, anew = -Infinity) => {
      const from = this.#later[id] ?? at - lead * 60_000;
      const heard = this.#heard[id];
      if (heard !== undefined && (heard < anew || from > Math.max(now, heard) + setAnew))
        delete this.#heard[id];
      if (now >= from && this.#heard[id] === undefined) due.push({ id, text: text(), at });
    };
    // Nobody stands at a stove that was set aside.
    for (const evening of [state, ...others].filter((e) => !e.setAsideFrom)) {
      const own = evening === state;
      const idOf = (id: string) => (own ? id : `${evening.id}|${id}`);
      const told = (id: string, at: number, lead: number, anew?: number) =>
        take(
          idOf(id),
          () => (own ? words(evening, id) : `${evening.title}: ${words(evening, id)}`),
          at,
          lead,
          anew,
        );
      const waiting = evening.moments.filter((m) => m.state === 'waiting');
      for (const m of waiting) {
        const first = waiting.find((o) => o.lane === m.lane);
        const { event, look, notBefore } = m.waits;
        const lead = before[m.step?.kind ?? ''] ?? 0;
        // What comes after something else is heard of only to make ready for it, and not while that itself rings.
        if (!m.due || (m !== first && (!lead || due.some((d) => d.id === idOf(first?.id ?? ''))))) continue;
        // What waits for an event is only asked for when nearly every pot has come to it.
        if (event) told(m.id, Date.parse(m.due.late), 0);
        else if (look && m === first) {
          // Somebody looks from the first time on, which quick bags need, and again when an answer was short.
          const open = notBefore
            ? Date.parse(notBefore)
            : Math.min(Date.parse(evening.now), Date.parse(m.due.at));
          const answered = lastAnswer(m, evening)?.occurredAt;
          told(m.id, open, 0, answered ? Date.parse(answered) : undefined);
        } else told(m.id, Date.parse(m.due.at), lead);
      }
      for (const v of evening.visits) told(`visit:${v.code}:${v.vesselId}`, Date.parse(v.at), 0);
    }
    const fresh = due.filter((d) => !this.ringing.some((r) => r.id === d.id));
    if (due.length !== this.ringing.length || fresh.length > 0) this.ringing = due;
    if (due.length > 0 && (fresh.length > 0 || now >= this.#next)) {
      this.#next = now + 20_000;
      this.#ring(due, fresh);
    }
    document.title = say('page.title', { view: due[0] ? `● ${due[0].text}` : state.title });
  }

  /** Heard: rings no more for this time. */
  hush(id: string, now: number) {
    this.#heard[id] = now;
    delete this.#later[id];
    this.ringing = this.ringing.filter((r) => r.id !== id);
  }

  snooze(id: string, now: number, minutes: number) {
    delete this.#heard[id];
    this.#later[id] = now + minutes * 60_000;
    this.ringing = this.ringing.filter((r) => r.id !== id);
  }

  set(wishes: Partial<AlarmWishes>) {
    this.wishes = { ...this.wishes, ...wishes };
    keep(key, this.wishes);
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
  return { sound: true, speech: false, quiet: false, ...kept<Partial<AlarmWishes>>(key, {}) };
}
