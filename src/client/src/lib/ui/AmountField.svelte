<script lang="ts">
  import { onDestroy } from 'svelte';
  import { say } from '../messages/say';

  /** How long the hand must rest before what is typed counts, ms: the 2 of 250 is no amount. */
  const rest = 400;

  type Props = {
    label: string;
    id: string;
    value: number;
    unit: string;
    onchange: (value: number, unit: string) => void;
    error?: string | null;
    /** Units beside grams and cups. */
    more?: { id: string; name: string }[];
  };
  let { label, id, value, unit, onchange, error = null, more = [] }: Props = $props();
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
    if (typed !== '') onchange(Number(typed), unit);
    typed = '';
  }

  const step = $derived(unit === 'g' ? 10 : unit === 'plate' ? 1 : 0.25);
</script>

<div>
  <label class="mb-1 block text-sm font-semibold" for={id}>{label}</label>
  <div class="join w-full">
    <input
      {id}
      class="input join-item w-full min-w-0 text-base"
      class:input-error={error}
      type="number"
      inputmode="decimal"
      min="0"
      {step}
      value={value > 0 ? value : ''}
      aria-invalid={error ? true : undefined}
      aria-describedby={error ? `${id}-error` : undefined}
      oninput={(e) => type(e.currentTarget.value)}
      onchange={tell}
    />
    <select
      class="select join-item w-[5.6rem] text-base"
      aria-label={say('amount.unit', { label })}
      value={unit}
      onchange={(e) => onchange(value, e.currentTarget.value)}
    >
      <option value="g">g</option>
      <option value="cup">{say('amount.cups')}</option>
      {#each more as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
    </select>
  </div>
  {#if error}<p id="{id}-error" class="text-error mt-1 text-sm" role="alert">{error}</p>{/if}
</div>
