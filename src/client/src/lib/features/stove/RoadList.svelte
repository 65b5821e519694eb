<script lang="ts">
  import type { StoveMoment, StoveState } from '../../api/client';
  import { away, momentLine } from '../../format/stove';
  import { clock, minutesBetween, range } from '../../format/time';
  import { say } from '../../messages/say';

  type Props = { evening: StoveState; now: number };
  let { evening, now }: Props = $props();

  const waiting = $derived(
    evening.moments.filter((m) => m.state === 'waiting' && m.id !== evening.nowId && m.due).slice(0, 8),
  );
  const done = $derived(evening.moments.filter((m) => m.state === 'done'));
  const next = $derived(waiting[0]);
  const several = $derived(evening.vessels.length > 1);
  const spread = (m: StoveMoment) =>
    m.due && minutesBetween(m.due.early, m.due.late) > 1 ? range(m.due.early, m.due.late, evening.zone) : '';
</script>

<!-- What comes next, and the whole road small. -->
<section class="dish p-4" aria-labelledby="next">
  {#if next?.due}
    <h2 id="next" class="text-xl">
      {say('road.next', { time: clock(next.due.at, evening.zone) })}
      <span class="text-base">{say('road.away', { away: away(Date.parse(next.due.at) - now) })}</span>
    </h2>
    <p class="text-xl font-semibold">{momentLine(next, evening).title}</p>
    {#if next.vesselName && several}
      <p class="pot-name" style="--pot: var(--pot-{next.colour % 4})">{next.vesselName}</p>
    {/if}
    {#if waiting.length > 1}<p class="mt-3 text-sm font-semibold">{say('road.later')}</p>{/if}
  {:else}
    <h2 id="next" class="text-xl">{say('road.nothing')}</h2>
  {/if}
  <ol class="mt-1 text-[0.95rem]">
    {#each waiting.slice(1) as m (m.id)}
      <li class="grid grid-cols-[auto_1fr] gap-2 py-0.5">
        <time class="hour tabular-nums" datetime={m.due?.at}>{clock(m.due?.at ?? '', evening.zone)}</time>
        <span class="truncate" class:pot-name={several} style="--pot: var(--pot-{Math.max(0, m.colour) % 4})"
          >{momentLine(m, evening).title}
          {#if spread(m)}<span class="block text-sm">{say('road.between', { range: spread(m) })}</span
            >{/if}</span
        >
      </li>
    {/each}
  </ol>
  {#if done.length > 0}
    <details class="mt-2">
      <summary class="cursor-pointer py-1">{say('road.done', { count: done.length })}</summary>
      <ol class="text-[0.95rem]">
        {#each done as m (m.id)}
          <li class="grid grid-cols-[auto_1fr] gap-2 py-0.5 opacity-85">
            <time class="hour tabular-nums" datetime={m.doneAt}>{clock(m.doneAt ?? '', evening.zone)}</time>
            <span class="truncate">{momentLine(m, evening).title}</span>
          </li>
        {/each}
      </ol>
    </details>
  {/if}
</section>
