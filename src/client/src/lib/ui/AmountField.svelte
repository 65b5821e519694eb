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
  let typed = '';
  onDestroy(() => clearTimeout(timer));

  function type(text: string) {
    typed = text;
    clearTimeout(timer);
    timer = setTimeout(tell, rest);
  }

  /** At once when the field is left. */
  function tell() {
    clearTimeout(timer);
    const read = typed === '' ? null : readAmount(typed, unit, cupMillilitres, units.us);
    unread = typed !== '' && !read;
    if (read) onchange(read.value, read.unit, true);
    if (read || typed === '') typed = '';
  }

  let unread = $state(false);
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
      value={shown}
      aria-invalid={fault ? true : undefined}
      aria-describedby={fault ? `${id}-error` : undefined}
      onkeydown={key}
      oninput={(e) => type(e.currentTarget.value)}
      onchange={tell}
    />
    <select
      class="select join-item w-[5.6rem] text-base"
      aria-label={say('amount.unit', { label })}
      value={unit}
      onchange={(e) => onchange(value, e.currentTarget.value, false)}
    >
      <option value="g">{weight}</option>
      <option value="cup">{say('amount.cups')}</option>
      {#each more as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
    </select>
  </div>
  {#if fault}<p id="{id}-error" class="text-error mt-1 text-sm" role="alert">{fault}</p>{/if}
</div>
