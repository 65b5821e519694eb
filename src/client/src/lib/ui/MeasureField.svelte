<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import { units } from '../messages/units.svelte';
  import { say } from '../messages/say';
  import { readMeasure, shownMeasure, unitOf, type Measure } from './measure';

  type Props = Omit<HTMLInputAttributes, 'type' | 'value'> & {
    of: Measure;
    /** In the metric unit of the measure, whatever unit it is typed in; null while it cannot be read. */
    value: number | null | undefined;
    /** What is asked; left out where a label around the field says it. */
    label?: string;
  };
  let { of, value = $bindable(), label, class: style = 'input', ...rest }: Props = $props();

  const id = $props.id();
  let text = $state('');
  /** Told once the hand has left it: half of a figure is no fault. */
  let left = $state(false);
  const unread = $derived(left && text.trim() !== '' && readMeasure(of, text, units.us) === null);
  // What comes from elsewhere stands in the field; what is being typed stays as it is typed.
  $effect(() => {
    if (readMeasure(of, text, units.us) !== (value ?? null)) text = shownMeasure(of, value, units.us);
  });
  function typed(event: Event & { currentTarget: HTMLInputElement }) {
    text = event.currentTarget.value;
    left = false;
    value = readMeasure(of, text, units.us);
  }
</script>

<input
  class={style}
  type="text"
  inputmode="decimal"
  autocomplete="off"
  aria-label={label}
  {...rest}
  value={text}
  aria-invalid={unread ? true : undefined}
  aria-describedby={unread ? id : undefined}
  oninput={typed}
  onblur={() => (left = true)}
/>
{#if unread}
  <span {id} class="text-error block text-sm font-normal" role="alert"
    >{say('field.unread', { unit: unitOf(of, units.us) })}</span
  >
{/if}
