<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { clock, dayName, dayOf } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';
  import { say } from '../../messages/say';

  type Props = { stove: Stove; evening: StoveState; onfinish: () => void };
  let { stove, evening, onfinish }: Props = $props();

  const today = $derived(dayOf(evening.now, evening.zone));
</script>

<section class="dish border-secondary! p-5" aria-labelledby="set-aside" data-set-aside>
  <h1 id="set-aside" class="text-3xl">{say('aside.title')}</h1>
  <p class="mt-2 text-xl">
    {say('aside.text', {
      day: dayName(dayOf(evening.wantedAt, evening.zone), today),
      time: clock(evening.wantedAt, evening.zone),
    })}
  </p>
  <div class="mt-4 flex flex-wrap gap-3">
    <button class="btn btn-primary stove-btn" onclick={onfinish}>{say('aside.over')}</button>
    <button class="btn stove-btn" onclick={() => stove.tell({ kind: 'still_on' })}
      >{say('aside.still_on')}</button
    >
  </div>
</section>
