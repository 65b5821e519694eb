<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import { units } from '../messages/units.svelte';
  import { readMeasure, shownMeasure, type Measure } from './measure';

  type Props = Omit<HTMLInputAttributes, 'type' | 'value'> & {
    of: Measure;
    /** In the metric unit of the measure, whatever unit it is typed in; null while it cannot be read. */
    value: number | null | undefined;
    /** What is asked; left out where a label around the field says it. */
    label?: string;
  };
  let { of, value = $bindable(), label, class: style = 'input', ...rest }: Props = $props();

  let text = $state('');
  // What comes from elsewhere stands in the field; what is being typed stays as it is typed.
  $effect(() => {
    if (readMeasure(of, text, units.us) !== (value ?? null)) text = shownMeasure(of, value, units.us);
  });
  function typed(event: Event & { currentTarget: HTMLInputElement }) {
    text = event.currentTarget.value;
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
  oninput={typed}
/>
