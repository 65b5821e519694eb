<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { putOffLine } from '../../format/stove';
  import type { Alarms } from '../../state/stove/alarms.svelte';
  import type { Stove } from '../../state/stove/stove.svelte';
  import { say } from '../../messages/say';

  type Props = { alarms: Alarms; stove: Stove; evening: StoveState };
  let { alarms, stove, evening }: Props = $props();

  /** What three more minutes cost, where the kettle has worked it out. */
  const later = (id: string) => {
    const off = evening.moments.find((m) => m.id === id)?.putOff;
    return off ? putOffLine(off) : say('ring.in_three');
  };
</script>

<!-- The first with all its buttons; more of them take a line each, so that what is to be done now stays in sight. -->
{#each alarms.ringing as ring, i (ring.id)}
  <div
    class="ring mb-3 flex items-center justify-between gap-x-3 gap-y-1 rounded-xl px-4 {i
      ? 'py-1'
      : 'flex-wrap py-2'}"
    role="alert"
  >
    <p class="font-bold {i ? 'text-lg leading-tight' : 'text-xl'}">
      {ring.id === evening.nowId && ring.at <= stove.clock.now ? say('ring.now') : ring.text}
    </p>
    <span class="flex flex-wrap gap-3">
      <button class="btn stove-btn" onclick={() => alarms.hush(ring.id, stove.clock.read())}
        >{say('ring.heard')}</button
      >
      {#if i === 0}
        <button class="btn stove-btn" onclick={() => alarms.snooze(ring.id, stove.clock.read(), 3)}
          >{later(ring.id)}</button
        >
      {/if}
    </span>
  </div>
{/each}
