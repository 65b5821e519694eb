<script lang="ts">
  import type { Clash, Kitchen, Plan } from '../../api/client';
  import type { Alternative } from '../../api/problem';
  import { clock } from '../../format/time';
  import { offerWords } from '../../format/ways';
  import { within } from '../../messages/figures';
  import { say } from '../../messages/say';

  type Props = { plan: Plan; kitchen: Kitchen; ontake: (offer: Alternative) => void };
  let { plan, kitchen, ontake }: Props = $props();

  /** Of moments that want the cook twice, so many are told one by one. */
  const few = 2;
  const at = (iso: string) => clock(iso, kitchen.zone);

  const dishes = $derived(
    plan.beside
      .map((n) => ({ id: n.id, with: n.title, all: plan.clashes.filter((c) => c.with === n.id) }))
      .filter((d) => d.all.length > 0)
      .map((d) => ({
        ...d,
        things: d.all.filter((c) => c.kind !== 'hands'),
        hands: d.all.filter((c) => c.kind === 'hands'),
      })),
  );
  const line = (c: Clash): string =>
    c.kind === 'hands'
      ? say('beside.hands', { time: at(c.from), mine: c.name, theirs: c.theirs ?? '' })
      : say(`beside.${c.kind}`, { name: within(c.name), from: at(c.from), to: at(c.to) });
</script>

{#if dishes.length}
  <section class="dish border-secondary! no-print px-4 py-3" data-clashes>
    {#each dishes as d (d.id)}
      <div class="flex flex-wrap gap-x-3">
        <h2 class="text-base font-semibold">{say('beside.title', { with: d.with })}</h2>
        <ul class="contents">
          {#each [...d.things, ...d.hands.slice(0, few)] as c (c.kind + c.name + c.from + c.theirs)}
            <li class="tabular-nums">{line(c)}</li>
          {/each}
          {#if d.hands.length > few}<li>{say('beside.more', { count: d.hands.length - few })}</li>{/if}
        </ul>
      </div>
    {/each}
    {#if plan.apart.length}
      <div class="mt-2 flex flex-wrap items-center gap-x-3 gap-y-2">
        <p class="font-semibold">{say('beside.apart')}</p>
        {#each plan.apart as offer, i (i)}
          <button
            class="btn btn-sm {i === 0 ? 'btn-primary' : 'btn-outline btn-primary'}"
            onclick={() => ontake(offer)}>{offerWords(offer, kitchen.nowLocal.slice(0, 10))}</button
          >
        {/each}
      </div>
    {/if}
  </section>
{/if}
