<script lang="ts">
  import { tick } from 'svelte';
  import { api, type Answer, type Found, type Kitchen } from '../lib/api/client';
  import type { Problem } from '../lib/api/problem';
  import BagCard from '../lib/features/cupboard/BagCard.svelte';
  import BagForm from '../lib/features/cupboard/BagForm.svelte';
  import { bagName, type Bag } from '../lib/format/pace';
  import { say } from '../lib/messages/say';
  import { household } from '../lib/state/kitchen.svelte';
  import { Tonight } from '../lib/state/tonight.svelte';
  import NamePicker from '../lib/ui/NamePicker.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate } from '../router';

  let adding = $state.raw<Found | null>(null);
  let found: Found[] = [];
  let removed = $state.raw<Bag | null>(null);
  let told = $state('');
  let problem = $state<Problem | null>(null);
  let undoButton = $state<HTMLButtonElement>();

  async function find(q: string, signal: AbortSignal): Promise<Answer<Found[]>> {
    const [pulses, rices] = await Promise.all([api.findPulses(q, signal), api.findRices(q, signal)]);
    if (!pulses.ok) return pulses;
    if (!rices.ok) return rices;
    found = [...pulses.value, ...rices.value];
    return { ok: true, value: found };
  }

  /** Tonight begins with this bag. */
  function cook(bag: Bag, kitchen: Kitchen) {
    Tonight.draftOf(
      kitchen,
      bag.pace ? { pulseId: bag.foodId, bagId: bag.id } : { riceId: bag.foodId, riceBagId: bag.id },
    );
    navigate('/');
  }

  async function remove(bag: Bag) {
    told = '';
    problem = await household.removeBag(bag.id, bag.version);
    removed = problem ? null : bag;
    await tick();
    // What was pressed is gone: the hand finds the way back.
    undoButton?.focus();
  }

  async function undo() {
    if (!removed) return;
    const { foodId, name, grams, boughtOn, bestBefore, storage, version } = removed;
    problem = await household.changeBag(removed.id, {
      foodId,
      name,
      grams,
      boughtOn,
      bestBefore,
      storage,
      version: version + 1,
    });
    if (!problem) removed = null;
  }

  function saved(bag: { name: string; foodName: string }) {
    removed = null;
    told = say('cupboard.saved', { bag: bagName(bag) });
  }
</script>

<svelte:head><title>{say('page.title', { view: say('cupboard.title') })}</title></svelte:head>
{#if household.kitchen.state === 'failed'}
  <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail} />
{:else if household.kitchen.state === 'ready'}
  {@const kitchen = household.kitchen.value}
  <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
    <div class="min-w-0 flex-1 basis-80">
      <h1 class="text-3xl">{say('cupboard.title')}</h1>
      <p class="mt-1">{say('cupboard.sub')}</p>
    </div>
    <div class="w-full sm:w-72">
      <NamePicker
        id="bag-add"
        label={say('cupboard.add')}
        chosen=""
        {find}
        onchoose={(id) => (adding = found.find((f) => f.id === id) ?? null)}
      />
    </div>
  </div>
  <p role="status" class="mt-2 empty:hidden">
    {#if removed}
      <span class="bg-base-100 border-primary flex items-center gap-3 rounded-lg border px-4 py-2">
        <span class="min-w-0 flex-1">{say('cupboard.removed', { bag: bagName(removed) })}</span>
        <button class="btn btn-sm btn-primary" bind:this={undoButton} onclick={undo}
          >{say('cupboard.undo')}</button
        >
      </span>
    {:else if told}{told}{/if}
  </p>
  {#if problem}<p class="text-error mt-2" role="alert">{problem.detail}</p>{/if}
  {#if adding}
    {@const food = adding}
    <section class="dish mt-3 p-4" aria-labelledby="adding-title">
      <h2 id="adding-title" class="mb-2 text-xl">{say('cupboard.add.what')} {food.name.toLowerCase()}</h2>
      <BagForm
        {kitchen}
        foodId={food.id}
        foodName={food.name}
        bag={null}
        onsaved={() => ((adding = null), saved({ name: '', foodName: food.name }))}
        oncancel={() => (adding = null)}
      />
    </section>
  {/if}
  {#if kitchen.bags.length === 0}
    <p class="dish mt-3 p-6 text-lg">{say('cupboard.empty')}</p>
  {/if}
  <div class="mt-3 gap-4 md:columns-2 xl:columns-3">
    {#each kitchen.bags as bag (bag.id)}
      <BagCard
        {bag}
        {kitchen}
        oncook={() => cook(bag, kitchen)}
        onremove={() => void remove(bag)}
        onsaved={() => saved(bag)}
      />
    {/each}
  </div>
{:else}
  <p class="p-8 text-lg">{say('cupboard.loading')}</p>
{/if}
