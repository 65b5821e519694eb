<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { momentLine } from '../../format/stove';
  import { clock } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';

  type Props = { stove: Stove; evening: StoveState };
  let { stove, evening }: Props = $props();
  const name = (momentId: string | null | undefined) => {
    const moment = evening.moments.find((m) => m.id === momentId);
    return moment ? momentLine(moment, evening).title : 'This step';
  };
</script>

{#each evening.conflicts as conflict (conflict.other.eventId)}
  <section class="dish border-warning! mt-4 p-4" role="alert">
    <p class="text-xl font-semibold">Told twice, differently: {name(conflict.other.momentId)}</p>
    <div class="mt-2 flex flex-wrap gap-3">
      <button class="btn stove-btn" onclick={() => stove.undo(conflict.other.eventId)}>
        {clock(conflict.holds.occurredAt, evening.zone)} holds ({conflict.holds.by ?? 'a screen'})
      </button>
      <button class="btn stove-btn" onclick={() => stove.undo(conflict.holds.eventId)}>
        {clock(conflict.other.occurredAt, evening.zone)} holds ({conflict.other.by ?? 'a screen'})
      </button>
    </div>
  </section>
{/each}
