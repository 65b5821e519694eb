<script lang="ts">
  import HouseSettings from '../lib/features/kitchen/HouseSettings.svelte';
  import PhonesCard from '../lib/features/kitchen/PhonesCard.svelte';
  import PotCard from '../lib/features/kitchen/PotCard.svelte';
  import { household } from '../lib/state/kitchen.svelte';
  import Notice from '../lib/ui/Notice.svelte';

  let adding = $state(false);
</script>

<svelte:head><title>My pots · Bright Kettle</title></svelte:head>
{#if household.kitchen.state === 'failed'}
  <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail} />
{:else if household.kitchen.state === 'ready'}
  {@const kitchen = household.kitchen.value}
  <h1 class="text-3xl">My pots</h1>
  <p class="mt-1">{kitchen.name}. Water boils here at {kitchen.boilingCelsius} °C.</p>
  <div class="mt-3 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
    {#each kitchen.vessels as vessel (vessel.id)}
      <PotCard {vessel} removable={kitchen.vessels.length > 1} />
    {/each}
    {#if adding}
      <PotCard vessel={null} removable={false} ondone={() => (adding = false)} />
    {:else}
      <button class="dish min-h-40 border-dashed p-4 text-lg font-semibold" onclick={() => (adding = true)}
        >Add a pot</button
      >
    {/if}
  </div>
  <PhonesCard zone={kitchen.zone} />
  <HouseSettings {kitchen} />
{:else}
  <p class="p-8 text-lg">Looking in the cupboard…</p>
{/if}
