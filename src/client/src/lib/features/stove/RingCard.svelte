<script lang="ts">
  import type { Alarms } from '../../state/stove/alarms.svelte';
  import type { Stove } from '../../state/stove/stove.svelte';

  type Props = { alarms: Alarms; stove: Stove; nowId: string | null };
  let { alarms, stove, nowId }: Props = $props();
</script>

{#each alarms.ringing as ring (ring.id)}
  <div class="ring mb-3 flex flex-wrap items-center justify-between gap-3 rounded-xl px-4 py-2" role="alert">
    <p class="text-xl font-bold">{ring.id === nowId ? 'Now' : ring.text}</p>
    <span class="flex gap-3">
      <button class="btn stove-btn" onclick={() => alarms.hush(ring.id)}>Heard</button>
      <button class="btn stove-btn" onclick={() => alarms.snooze(ring.id, stove.clock.read(), 3)}
        >{ring.id.startsWith('visit:') ? 'In 3 min' : 'In 3 min: all 3 min later'}</button
      >
    </span>
  </div>
{/each}
