<script lang="ts">
  import type { Dish, Catalogue } from '../../api/client';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';
  import SelectField from '../../ui/SelectField.svelte';

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
  <SelectField
    id="pulse-state"
    label={say('pulse_state.legend')}
    options={states.map((s) => ({ id: s, name: say(`pulse_state.${s}`) }))}
    value={dish.pulseState ?? 'dry'}
    onchange={(pulseState) => tonight.change({ pulseState, pulse: null })}
    error={tonight.fault('pulseState')}
  />
  {#if dish.pulseState === 'half_cooked'}
    <SelectField
      id="half-cooked"
      label={say('half_cooked.legend')}
      options={halves.map((h) => ({ id: h, name: say(`half_cooked.${h}`) }))}
      value={dish.halfCookedTo ?? 'chalky_middle'}
      onchange={(halfCookedTo) => tonight.change({ halfCookedTo })}
    />
  {/if}
{/if}
{#if dish.riceId}
  <SelectField
    id="rice-state"
    label={say('rice_state.legend')}
    options={rices.map((r) => ({ id: r, name: say(`rice_state.${r}`) }))}
    value={dish.riceState ?? 'dry'}
    onchange={(riceState) => tonight.change({ riceState, rice: null })}
  />
{/if}
