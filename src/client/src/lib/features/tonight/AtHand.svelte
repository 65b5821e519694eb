<script lang="ts">
  import type { Dish, Catalogue } from '../../api/client';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';

  type Props = { tonight: Tonight; catalogue: Catalogue };
  let { tonight, catalogue }: Props = $props();

  type State = NonNullable<Dish['pulseState']>;
  type Half = NonNullable<Dish['halfCookedTo']>;
  type RiceState = NonNullable<Dish['riceState']>;

  const dish = $derived(tonight.dish);
  const pulse = $derived(catalogue.pulses.find((p) => p.id === dish.pulseId));
  /** What is cooked already, or shares the pot, comes as it is. */
  const asked = $derived(dish.method !== 'cooked' && !dish.others?.length);
  const states = $derived<State[]>(
    pulse?.soldGreen ? ['dry', 'half_cooked', 'green', 'frozen_green'] : ['dry', 'half_cooked'],
  );
  const halves: Half[] = ['chalky_middle', 'nearly_a_speck', 'bite_no_chalk'];
  const rices: RiceState[] = ['dry', 'fridge', 'freezer'];
</script>

<!-- How the things come into the kitchen, where that is not dry from the bag. -->
{#if asked}
  <div>
    <label class="mb-1 block text-sm font-semibold" for="pulse-state">{say('pulse_state.legend')}</label>
    <select
      id="pulse-state"
      class="select w-full text-[0.95rem]"
      value={dish.pulseState ?? 'dry'}
      onchange={(e) => tonight.change({ pulseState: e.currentTarget.value as State, pulse: null })}
    >
      {#each states as s (s)}<option value={s}>{say(`pulse_state.${s}`)}</option>{/each}
    </select>
    {#if tonight.fault('pulseState')}<p class="text-error mt-1 text-sm" role="alert">
        {tonight.fault('pulseState')}
      </p>{/if}
  </div>
  {#if dish.pulseState === 'half_cooked'}
    <div>
      <label class="mb-1 block text-sm font-semibold" for="half-cooked">{say('half_cooked.legend')}</label>
      <select
        id="half-cooked"
        class="select w-full text-[0.95rem]"
        value={dish.halfCookedTo ?? 'chalky_middle'}
        onchange={(e) => tonight.change({ halfCookedTo: e.currentTarget.value as Half })}
      >
        {#each halves as h (h)}<option value={h}>{say(`half_cooked.${h}`)}</option>{/each}
      </select>
    </div>
  {/if}
{/if}
{#if dish.riceId}
  <div>
    <label class="mb-1 block text-sm font-semibold" for="rice-state">{say('rice_state.legend')}</label>
    <select
      id="rice-state"
      class="select w-full text-[0.95rem]"
      value={dish.riceState ?? 'dry'}
      onchange={(e) => tonight.change({ riceState: e.currentTarget.value as RiceState, rice: null })}
    >
      {#each rices as r (r)}<option value={r}>{say(`rice_state.${r}`)}</option>{/each}
    </select>
  </div>
{/if}
