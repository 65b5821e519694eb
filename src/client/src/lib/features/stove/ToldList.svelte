<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { toldLine } from '../../format/stove';
  import { clock } from '../../format/time';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import { say } from '../../messages/say';

  type Props = { stove: AtStove; evening: StoveState };
  let { stove, evening }: Props = $props();
  const told = $derived([...evening.told].reverse());
</script>

<details class="dish p-4">
  <summary class="cursor-pointer text-xl"
    >{say('told.title', { count: Math.max(evening.toldCount, told.length) })}</summary
  >
  {#if evening.toldCount > told.length}<p class="mt-2 text-base">
      {say('told.latest', { count: told.length })}
    </p>{/if}
  {#if told.length === 0}<p class="mt-2">{say('told.nothing')}</p>{/if}
  <ul class="mt-2">
    {#each told as t (t.entry.eventId)}
      <li class="border-base-300 flex min-h-14 items-center gap-3 border-t py-1 first:border-t-0">
        <time class="hour tabular-nums" datetime={t.entry.occurredAt}
          >{clock(t.entry.occurredAt, evening.zone)}</time
        >
        <span class="min-w-0 flex-1" class:line-through={t.undone}>
          {t.entry.by ? say('told.by', { line: toldLine(t, evening), by: t.entry.by }) : toldLine(t, evening)}
        </span>
        {#if !t.undone}
          <button class="btn stove-btn btn-ghost" onclick={() => stove.undo(t.entry.eventId)}
            >{say('told.undo_this')}</button
          >
        {/if}
      </li>
    {/each}
  </ul>
</details>
