<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import { hourSaid, parseTime } from '../format/time';
  import { say } from '../messages/say';

  type Props = Omit<HTMLInputAttributes, 'type' | 'value'> & {
    /** On the clock, `19:00`; it stays what it was while what is typed cannot be read. */
    value: string;
  };
  let { value = $bindable(), class: style = 'input', ...rest }: Props = $props();

  const id = $props.id();
  let unread = $state(false);
  function typed(event: Event & { currentTarget: HTMLInputElement }) {
    const time = parseTime(event.currentTarget.value, value);
    unread = !time;
    // Nothing is kept beside an hour that nobody could read.
    event.currentTarget.setCustomValidity(time ? '' : say('form.time_fault', { time: hourSaid('19:00') }));
    if (!time) return;
    value = time;
    // The same hour, written otherwise, is written as the household writes it.
    event.currentTarget.value = hourSaid(time);
  }
</script>

<!-- An hour as people type it, written as the household writes hours; a browser's own field goes by the browser. -->
<input
  class={style}
  type="text"
  inputmode="text"
  autocomplete="off"
  {...rest}
  value={hourSaid(value)}
  aria-invalid={unread ? true : undefined}
  aria-describedby={unread ? id : undefined}
  onchange={typed}
/>
{#if unread}
  <span {id} class="text-error block text-sm font-normal" role="alert"
    >{say('form.time_fault', { time: hourSaid('19:00') })}</span
  >
{/if}
