<script lang="ts">
  import { tick } from 'svelte';
  import BurnerCard from '../lib/features/kitchen/BurnerCard.svelte';
  import CopiesCard from '../lib/features/kitchen/CopiesCard.svelte';
  import HouseSettings from '../lib/features/kitchen/HouseSettings.svelte';
  import PhonesCard from '../lib/features/kitchen/PhonesCard.svelte';
  import PotCard from '../lib/features/kitchen/PotCard.svelte';
  import { say } from '../lib/messages/say';
  import { household } from '../lib/state/kitchen.svelte';
  import { takesHandAfter } from '../lib/ui/hand';
  import Notice from '../lib/ui/Notice.svelte';

  let adding = $state<'pot' | 'burner' | null>(null);
  /** What was taken away last, and how it comes back. */
  let gone = $state<{ name: string; back: () => Promise<unknown> } | null>(null);
  let undo = $state<HTMLButtonElement>();
  let addPot = $state<HTMLButtonElement>();
  /** What was added last, or given up: the hand goes back there. */
  let added = $state<'pot' | 'burner' | null>(null);

  async function removed(name: string, back: () => Promise<unknown>) {
    gone = { name, back };
    await tick();
    undo?.focus();
  }

  async function putBack() {
    await gone?.back();
    gone = null;
    await tick();
    addPot?.focus();
  }
</script>

<svelte:head><title>{say('page.title', { view: say('kitchen.title') })}</title></svelte:head>
{#if household.kitchen.state === 'failed'}
  <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail} />
{:else if household.kitchen.state === 'ready'}
  {@const kitchen = household.kitchen.value}
  <h1 class="text-3xl">{say('kitchen.title')}</h1>
  <p class="mt-1">{say('kitchen.place', { name: kitchen.name, celsius: kitchen.boilingCelsius })}</p>
  <div role="status">
    {#if gone}
      <p class="bg-base-100 mt-3 flex flex-wrap items-center gap-3 rounded-lg px-4 py-2" data-gone>
        {say('kitchen.removed', { name: gone.name })}
        <button class="btn btn-sm btn-outline btn-primary" bind:this={undo} onclick={putBack}
          >{say('kitchen.undo')}</button
        >
      </p>
    {/if}
  </div>
  <h2 class="mt-4 text-xl">{say('kitchen.pots')}</h2>
  <div class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
    {#each kitchen.vessels as vessel (vessel.id)}
      <PotCard {vessel} removable={kitchen.vessels.length > 1} onremoved={removed} />
    {/each}
    {#if adding === 'pot'}
      <PotCard vessel={null} removable={false} ondone={() => ((added = adding), (adding = null))} />
    {:else}
      <button
        class="dish min-h-28 border-dashed p-4 text-lg font-semibold"
        bind:this={addPot}
        {@attach takesHandAfter(() => added === 'pot')}
        onclick={() => (adding = 'pot')}>{say('kitchen.add_pot')}</button
      >
    {/if}
  </div>
  <h2 class="mt-5 text-xl">{say('kitchen.burners')}</h2>
  <div class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
    {#each kitchen.burners as burner (burner.id)}
      <BurnerCard {burner} removable={kitchen.burners.length > 1} onremoved={removed} />
    {/each}
    {#if adding === 'burner'}
      <BurnerCard burner={null} removable={false} ondone={() => ((added = adding), (adding = null))} />
    {:else}
      <button
        class="dish min-h-28 border-dashed p-4 text-lg font-semibold"
        {@attach takesHandAfter(() => added === 'burner')}
        onclick={() => (adding = 'burner')}>{say('kitchen.add_burner')}</button
      >
    {/if}
  </div>
  <PhonesCard zone={kitchen.zone} />
  <HouseSettings {kitchen} />
  <CopiesCard today={kitchen.nowLocal.slice(0, 10)} />
{:else}
  <p class="p-8 text-lg">{say('kitchen.loading')}</p>
{/if}
