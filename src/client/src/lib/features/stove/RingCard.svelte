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

{#each alarms.ringing as ring (ring.id)}
  <div class="ring mb-3 flex flex-wrap items-center justify-between gap-3 rounded-xl px-4 py-2" role="alert">
    <p class="text-xl font-bold">
      {ring.id === evening.nowId && ring.at <= stove.clock.now ? say('ring.now') : ring.text}
    </p>
    <span class="flex flex-wrap gap-3">
      <button class="btn stove-btn" onclick={() => alarms.hush(ring.id, stove.clock.read())}
        >{say('ring.heard')}</button
      >
      <button class="btn stove-btn" onclick={() => alarms.snooze(ring.id, stove.clock.read(), 3)}
        >{later(ring.id)}</button
      >
    </span>
  </div>
{/each}
