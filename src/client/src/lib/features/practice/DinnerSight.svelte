<script lang="ts">
  import type { PracticeStand, StoveState } from '../../api/client';
  import { millilitres, overBed } from '../../format/amounts';
  import { core, feltWord } from '../../format/words';
  import { say } from '../../messages/say';
  import { within } from '../../messages/figures';
  import type { PracticeDinner } from '../../state/practiceDinner.svelte';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { seedOf } from '../../ui/seeds';
  import ScenePot from './ScenePot.svelte';

  type Props = { dinner: PracticeDinner; seen: PracticeStand['seen']; evening: StoveState };
  let { dinner, seen, evening }: Props = $props();
  /** Its bed wears the look of what was felt first. */
  const lead = $derived(seen.hands[0]);
  const seed = $derived(seedOf(lead?.kind ?? 'pulse', lead?.seed ?? ''));
  const several = $derived(evening.vessels.length > 1);
</script>

<!-- What an eye, an ear and a hand find; the stove knows nothing of it until it is told. -->
<section class="dish p-4" aria-label={say('practice.before_you')}>
  <h2 class="text-xl">{say('practice.before_you')}</h2>
  {#if seen.pots.length === 0}<p class="mt-1 text-lg">{say('practice.counter_bare')}</p>{/if}
  {#each seen.pots as pot (pot.vesselId)}
    <div class="mt-2" data-pot={pot.vesselId}>
      {#if several}<p class="font-bold">{pot.name}</p>{/if}
      {#if pot.locked}
        <p class="text-lg">{say('practice.locked')}</p>
      {:else if pot.levelCentimetres !== null}
        <ScenePot
          pot={{
            bedCentimetres: pot.bedCentimetres ?? 0,
            liquidCentimetres: pot.levelCentimetres,
            heightCentimetres: pot.heightCentimetres,
            boils: pot.boils,
          }}
          {seed}
        />
        <p class="text-lg">
          {say('practice.surface', { how: pot.boils ? 'boils' : pot.steams ? 'steams' : 'still' })}
          {#if pot.bedCentimetres !== null}{say('glance.over_bed', {
              level: overBed(pot.levelCentimetres - pot.bedCentimetres),
            })}{/if}
        </p>
        <div class="mt-1 flex flex-wrap items-center gap-3">
          <button
            class="btn min-h-12"
            aria-pressed={dinner.sensed.includes(pot.vesselId)}
            onclick={() => dinner.sense(pot.vesselId)}>{say('practice.jug')}</button
          >
          {#if dinner.sensed.includes(pot.vesselId) && pot.jugMillilitres !== null}
            <span class="text-lg" aria-live="polite">{millilitres(pot.jugMillilitres)}</span>
          {/if}
        </div>
      {/if}
    </div>
  {/each}
  <ul class="mt-3 flex flex-col gap-3">
    {#each seen.hands as hand (hand.ingredient)}
      {@const felt = dinner.sensed.includes(hand.ingredient)}
      <li>
        <button
          class="btn min-h-12"
          data-hand={hand.kind}
          aria-pressed={felt}
          onclick={() => dinner.sense(hand.ingredient)}
        >
          {hand.kind === 'rice'
            ? say('practice.taste')
            : say('practice.take_five', { name: within(hand.name) })}
        </button>
        {#if felt}
          <p class="mt-1 flex flex-wrap items-center gap-2 text-lg" aria-live="polite">
            {#if hand.chalkyOfFive !== null}
              <span
                class="flex gap-1"
                role="img"
                data-chalky={hand.chalkyOfFive}
                aria-label={say('practice.halved', { count: hand.chalkyOfFive })}
              >
                {#each [1, 2, 3, 4, 5] as n (n)}
                  <BeanMark
                    core={n <= hand.chalkyOfFive ? Math.max(0.35, core[hand.felt] ?? 0) : 0}
                    size={34}
                    seed={seedOf(hand.kind, hand.seed)}
                  />
                {/each}
              </span>
            {:else}
              <BeanMark core={core[hand.felt] ?? 0} size={34} seed={seedOf(hand.kind, hand.seed)} />
            {/if}
            <span data-felt-of={hand.kind}>{feltWord(hand.kind, hand.felt)}</span>
          </p>
        {/if}
      </li>
    {/each}
  </ul>
</section>
