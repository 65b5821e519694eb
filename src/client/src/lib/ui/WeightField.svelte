<script lang="ts">
  import { say } from '../messages/say';
  import { units } from '../messages/units.svelte';
  import { readMeasure, shownMeasure, unitOf } from './measure';

  type Props = {
    /** What is weighed. */
    name: string;
    grams: number | null;
    onchange: (grams: number) => void;
  };
  let { name, grams, onchange }: Props = $props();

  const id = $props.id();
  let unread = $state(false);
  const unit = $derived(unitOf('grams', units.us));
  /** Taken when the field is left; what cannot be read stays, and says so. */
  function take(text: string) {
    const read = readMeasure('grams', text, units.us);
    unread = text.trim() !== '' && read === null;
    if (read !== null) onchange(read);
  }
</script>

<label class="input px-2"
  ><input
    class="w-full"
    type="text"
    inputmode="decimal"
    autocomplete="off"
    aria-label={say('amount.weight_of', { name, unit })}
    aria-invalid={unread ? true : undefined}
    aria-describedby={unread ? id : undefined}
    value={shownMeasure('grams', grams, units.us)}
    onchange={(e) => take(e.currentTarget.value)}
  /><span class="text-sm">{unit}</span></label
>
{#if unread}<p {id} class="text-error col-span-full text-sm" role="alert">
    {say('field.unread', { unit })}
  </p>{/if}
