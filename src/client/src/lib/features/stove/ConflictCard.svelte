<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { momentLine } from '../../format/stove';
  import { clock } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';
  import { say } from '../../messages/say';

  type Props = { stove: Stove; evening: StoveState };
  let { stove, evening }: Props = $props();
  const name = (momentId: string | null | undefined) => {
    const moment = evening.moments.find((m) => m.id === momentId);
    return moment ? momentLine(moment, evening).title : say('conflict.step');
  };
  const holds = (entry: { occurredAt: string; by?: string | null }) =>
    say('conflict.holds', {
      time: clock(entry.occurredAt, evening.zone),
      by: entry.by ?? say('conflict.somebody'),
    });
</script>

{#each evening.conflicts as conflict (conflict.other.eventId)}
  <section class="dish border-warning! mt-4 p-4" role="alert">
    <p class="text-xl font-semibold">{say('conflict.title', { line: name(conflict.other.momentId) })}</p>
    <div class="mt-2 flex flex-wrap gap-3">
      <button class="btn stove-btn" onclick={() => stove.undo(conflict.other.eventId)}>
        {holds(conflict.holds)}
      </button>
      <button class="btn stove-btn" onclick={() => stove.undo(conflict.holds.eventId)}>
        {holds(conflict.other)}
      </button>
    </div>
  </section>
{/each}
