<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { clock, dayName, dayOf } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';

  type Props = { stove: Stove; evening: StoveState; onfinish: () => void };
  let { stove, evening, onfinish }: Props = $props();

  const today = $derived(dayOf(evening.now, evening.zone));
  const when = $derived(
    `${dayName(dayOf(evening.wantedAt, evening.zone), today)} at ${clock(evening.wantedAt, evening.zone)}`,
  );
</script>

<section class="dish border-secondary! p-5" aria-labelledby="set-aside" data-set-aside>
  <h1 id="set-aside" class="text-3xl">What became of this dinner?</h1>
  <p class="mt-2 text-xl">
    It was planned for {when}, and nobody has touched it for hours since. It rings no more. If food from it
    still stands at room temperature, throw it away.
  </p>
  <div class="mt-4 flex flex-wrap gap-3">
    <button class="btn btn-primary stove-btn" onclick={onfinish}>It is over: close it</button>
    <button class="btn stove-btn" onclick={() => stove.tell({ kind: 'still_on' })}>It is still on</button>
  </div>
</section>
