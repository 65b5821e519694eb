<script lang="ts">
  import { CookingPot, Pencil, Trash2 } from '@lucide/svelte';
  import { tick } from 'svelte';
  import type { Kitchen } from '../../api/client';
  import { bagName, isToUseSoon, paceTime, type Bag } from '../../format/pace';
  import { dayName } from '../../format/time';
  import { capital } from '../../format/words';
  import { say } from '../../messages/say';
  import BagDinners from './BagDinners.svelte';
  import BagForm from './BagForm.svelte';
  import PaceBar from './PaceBar.svelte';

  type Props = {
    bag: Bag;
    kitchen: Kitchen;
    oncook: () => void;
    onremove: () => void;
    onsaved: () => void;
  };
  let { bag, kitchen, oncook, onremove, onsaved }: Props = $props();

  let editing = $state(false);
  let open = $state(false);
  let pencil = $state<HTMLButtonElement>();
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const name = $derived(bagName(bag));
  /** Of several bags of the same. */
  const isFirst = $derived(
    bag.first && kitchen.bags.filter((b) => b.foodId === bag.foodId && b.grams > 0).length > 1,
  );
  const facts = $derived(
    [
      bag.openedOn ? say('cupboard.opened', { day: dayName(bag.openedOn, today) }) : null,
      bag.boughtOn ? say('cupboard.bought', { day: dayName(bag.boughtOn, today) }) : null,
      bag.bestBefore ? say('cupboard.best', { day: dayName(bag.bestBefore, today) }) : null,
      bag.storage === 'cupboard' ? null : say('cupboard.storage', { storage: bag.storage }),
    ].filter((f) => f !== null),
  );

  async function close() {
    editing = false;
    await tick();
    pencil?.focus();
  }
</script>

<article
  class="dish mb-4 flex break-inside-avoid flex-col gap-2 p-4 {bag.grams > 0 ? '' : 'opacity-75'}"
  data-bag={bag.id}
>
  <header class="flex flex-wrap items-baseline gap-x-3">
    <h2 class="text-xl">{name}</h2>
    <p class="ml-auto font-semibold tabular-nums">
      {bag.grams > 0 ? say('cupboard.left', { grams: bag.grams }) : say('cupboard.used_up')}
    </p>
  </header>
  {#if facts.length}<p class="-mt-1 text-sm opacity-85">{capital(facts.join(', '))}</p>{/if}
  {#if isToUseSoon(bag, today) || isFirst}
    <p class="flex gap-2">
      {#if isFirst}<span class="badge badge-outline">{say('cupboard.use_first')}</span>{/if}
      {#if isToUseSoon(bag, today)}<span class="badge badge-warning">{say('cupboard.use_soon')}</span>{/if}
    </p>
  {/if}
  {#if editing}
    <BagForm
      {kitchen}
      foodId={bag.foodId}
      foodName={bag.foodName}
      {bag}
      onsaved={() => (void close(), onsaved())}
      oncancel={close}
    />
  {:else}
    {#if bag.pace}
      <p>
        {#if bag.pace.dinners || bag.pace.otherBags}<strong>{capital(paceTime(bag.pace))}.</strong>{/if}
        {say('pace.known', { dinners: bag.pace.dinners, others: bag.pace.otherBags })}.
      </p>
      {#if !open}<PaceBar pace={bag.pace} />{/if}
      {#if bag.pace.dinners}
        <details bind:open>
          <summary class="cursor-pointer text-sm font-semibold">{say('cupboard.why')}</summary>
          {#if open}<BagDinners {bag} {kitchen} />{/if}
        </details>
      {/if}
    {/if}
    <div class="mt-auto flex flex-wrap gap-1">
      {#if bag.grams > 0}
        <button
          class="btn btn-outline btn-primary"
          onclick={oncook}
          aria-label={say('cupboard.cook.of', { bag: name })}
          ><CookingPot size={17} /> {say('cupboard.cook')}</button
        >
      {/if}
      <button
        class="btn btn-ghost px-2.5"
        bind:this={pencil}
        onclick={() => (editing = true)}
        aria-label={say('cupboard.change.of', { bag: name })}
        ><Pencil size={17} /> {say('cupboard.change')}</button
      >
      <button
        class="btn btn-ghost px-2.5"
        onclick={onremove}
        aria-label={say('cupboard.remove.of', { bag: name })}
        ><Trash2 size={17} /> {say('cupboard.remove')}</button
      >
    </div>
  {/if}
</article>
