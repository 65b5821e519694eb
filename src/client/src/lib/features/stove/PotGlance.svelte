<script lang="ts">
  import type { StoveState } from '../../api/client';
  import { centimetres, degrees, overBed } from '../../format/amounts';
  import { core, feltWord } from '../../format/words';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { colourOf, seedOf } from '../../ui/seeds';
  import { say } from '../../messages/say';

  type Props = { evening: StoveState };
  let { evening }: Props = $props();
  const pot = $derived(evening.pot);
  const vessel = $derived(evening.vessels.find((v) => v.id === pot?.vesselId));
  const seeds = $derived(evening.seeds.filter((s) => s.in));
  /** The bed wears the colour of what most of it is. */
  const lead = $derived(seeds.find((s) => s.kind === 'pulse') ?? seeds[0]);
  const bed = $derived(
    lead ? colourOf(seedOf(lead.kind, lead.seed), lead.doneness.mid / 100) : 'var(--pulse-done)',
  );
  const [w, h] = [190, 110];
  const y = (cm: number) => h - 6 - (Math.max(0, cm) / (vessel?.heightCentimetres || 10)) * (h - 16);
</script>

<!-- How the pot should look now: level and bed against its wall. -->
{#if pot && vessel}
  <section class="dish p-4" aria-label={say('glance.title')}>
    {#if evening.vessels.length > 1}
      <p class="pot-name mb-2 font-bold" style="--pot: var(--pot-{vessel.colour % 4})">{vessel.name}</p>
    {/if}
    <div class="flex items-center gap-4">
      <svg
        width={w}
        height={h}
        viewBox="0 0 {w} {h}"
        role="img"
        aria-label={say('glance.level_label', { level: centimetres(pot.levelCentimetres) })}
      >
        <path
          d="M10 4v{h - 16}q0 8 8 8h{w - 36}q8 0 8-8v-{h - 16}"
          fill="var(--pot-inside)"
          stroke="var(--pot-wall)"
          stroke-width="3"
        />
        <rect
          x="12"
          width={w - 24}
          y={y(pot.levelCentimetres)}
          height={h - 6 - y(pot.levelCentimetres)}
          fill="var(--liquid)"
        />
        <rect
          x="12"
          width={w - 24}
          y={y(pot.levelCentimetres - pot.overBedCentimetres)}
          height={h - 6 - y(pot.levelCentimetres - pot.overBedCentimetres)}
          fill={bed}
        />
        <line
          x1="12"
          x2={w - 12}
          y1={y(pot.levelCentimetres)}
          y2={y(pot.levelCentimetres)}
          stroke="var(--liquid-line)"
          stroke-width="2"
        />
      </svg>
      <dl class="text-lg">
        <div>
          <dt class="sr-only">{say('glance.temperature')}</dt>
          <dd class="display text-2xl">{degrees(pot.celsius)}</dd>
        </div>
        <div>
          <dt class="sr-only">{say('glance.liquid')}</dt>
          <dd>{say('glance.about', { millilitres: pot.liquorMillilitres })}</dd>
        </div>
        <div>
          <dt class="sr-only">{say('glance.level')}</dt>
          <dd>{say('glance.over_bed', { level: overBed(pot.overBedCentimetres) })}</dd>
        </div>
      </dl>
    </div>
    {#if evening.toppedUp > 0}
      <p class="mt-1 text-base">
        {say('glance.topped_up', {
          count: evening.toppedUp,
          millilitres: evening.toppedUpMillilitres,
        })}
      </p>
    {/if}
    <ul class="mt-2">
      {#each seeds as seed (seed.id)}
        <li class="flex items-center gap-2 text-lg">
          <BeanMark core={core[seed.felt] ?? 0} size={30} seed={seedOf(seed.kind, seed.seed)} />
          {say('waterline.layer', { name: seed.name, felt: feltWord(seed.kind, seed.felt) })}
        </li>
      {/each}
    </ul>
  </section>
{/if}
