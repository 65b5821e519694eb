<script lang="ts">
  import { onDestroy } from 'svelte';
  import { say } from '../messages/say';
  import { units } from '../messages/units.svelte';
  import { readAmount, shownMeasure, unitOf } from './measure';

  /** How long the hand must rest before what is typed counts, ms: the 2 of 250 is no amount. */
  const rest = 400;

  type Props = {
    label: string;
    id: string;
    value: number;
    unit: string;
    /** Typed, in a unit of its own where one was named; or another unit chosen for what stands there. */
    onchange: (value: number, unit: string, typed: boolean) => void;
    cupMillilitres: number;
    error?: string | null;
    /** Units beside grams and cups. */
    more?: { id: string; name: string }[];
  };
  let { label, id, value, unit, onchange, cupMillilitres, error = null, more = [] }: Props = $props();
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** What is being typed, as it is typed; null when the amount itself stands there. */
  let typed = $state<string | null>(null);
  onDestroy(() => clearTimeout(timer));

  function type(text: string) {
    typed = text;
    clearTimeout(timer);
    timer = setTimeout(() => tell(false), rest);
  }

  /** At once when the field is left; only then is it told that it cannot be read, and stands there as it was taken. */
  function tell(left: boolean) {
    clearTimeout(timer);
    if (typed === null) return;
    const read = typed === '' ? null : readAmount(typed, unit, cupMillilitres, units.us);
    unread = left && typed !== '' && !read;
    if (read && told !== typed) onchange(read.value, read.unit, true);
    told = typed;
    if (left && !unread) typed = told = null;
  }

  let unread = $state(false);
  /** What was told already while the hand rested. */
  let told: string | null = null;
  const weight = $derived(unitOf('grams', units.us));
  const fault = $derived(unread ? say('field.unread', { unit: weight }) : error);
  const shown = $derived(
    value <= 0
      ? ''
      : unit === 'g'
        ? shownMeasure('grams', value, units.us)
        : String(Number(value.toFixed(2))),
  );
  /** A little more or less by the arrows. */
  const step = $derived(unit === 'g' ? (units.us ? 14.175 : 10) : unit === 'plate' ? 1 : 0.25);
  function key(event: KeyboardEvent) {
    const by = event.key === 'ArrowUp' ? step : event.key === 'ArrowDown' ? -step : 0;
    if (!by) return;
    event.preventDefault();
    typed = told = null;
    onchange(Math.max(0, value + by), unit, true);
  }
</script>

<div>
  <label class="mb-1 block text-sm font-semibold" for={id}>{label}</label>
  <div class="join w-full">
    <input
      {id}
      class="input join-item w-full min-w-0 text-base"
      class:input-error={fault}
      type="text"
      inputmode="decimal"
      autocomplete="off"
      value={typed ?? shown}
      aria-invalid={fault ? true : undefined}
      aria-describedby={fault ? `${id}-error` : undefined}
      onkeydown={key}
      oninput={(e) => type(e.currentTarget.value)}
      onchange={() => tell(true)}
    />
    <select
      class="select join-item w-[5.6rem] text-base"
      aria-label={say('amount.unit', { label })}
      value={unit}
      onchange={(e) => {
        typed = told = null;
        unread = false;
        onchange(value, e.currentTarget.value, false);
      }}
    >
      <option value="g">{weight}</option>
      <option value="cup">{say('amount.cups')}</option>
      {#each more as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
    </select>
  </div>
  {#if fault}<p id="{id}-error" class="text-error mt-1 text-sm" role="alert">{fault}</p>{/if}
</div>
