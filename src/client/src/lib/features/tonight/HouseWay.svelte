<script lang="ts">
  import { api, type Compared, type Dish, type Plan } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { dinnersOf } from '../../format/chance';
  import { clock } from '../../format/time';
  import { saltIds, saltName, saltReason } from '../../format/words';
  import type { Tonight } from '../../state/tonight.svelte';
  import { flags } from '../waterline/flags';
  import DifferenceList from './DifferenceList.svelte';
  import { say } from '../../messages/say';

  import WhyLink from '../why/WhyLink.svelte';

  type Props = { tonight: Tonight; plan: Plan; zone: string };
  let { tonight, plan, zone }: Props = $props();

  let other = $state('');
  let compared = $state.raw<Compared | null>(null);
  let problem = $state.raw<Problem | null>(null);
  let abort: AbortController | null = null;

  const ways = $derived([
    ...saltIds
      .filter(
        (id) => id !== plan.houseWays.salt && (id !== 'in_the_soak' || tonight.dish.soak === 'overnight'),
      )
      .map((id) => ({
        id: `salt:${id}`,
        name: say('house_way.salt_option', { how: saltName(id) }),
        change: { salt: id } as Partial<Dish>,
      })),
    ...(plan.houseWays.soakWaterMayBeKept
      ? [
          plan.houseWays.keepsSoakWater
            ? { id: 'water', name: say('house_way.fresh'), change: { keepsSoakWater: false } }
            : { id: 'water', name: say('house_way.kept'), change: { keepsSoakWater: true } },
        ]
      : []),
    ...(plan.pulseName && tonight.dish.soak !== 'none' && tonight.dish.method !== 'cooked'
      ? [{ id: 'dry', name: say('house_way.dry'), change: { soak: 'none' } as Partial<Dish> }]
      : []),
  ]);
  /** The other plan's hours in one line. */
  const beside = (other: Plan) =>
    [
      ...flags(other.steps)
        .filter((f) => f.pull || f.kind === 'rice_light')
        .map((f) => `${f.text} ${clock(f.at, zone)}`),
      dinnersOf(other.withLooks),
    ].join(' · ');
  const chosen = $derived(ways.find((w) => w.id === other));

  // The plan beside follows the dish.
  $effect(() => {
    const [before, change] = [tonight.asked, chosen?.change];
    compared = problem = null;
    abort?.abort();
    if (!change) return;
    const own = (abort = new AbortController());
    api.compare(before, { ...before, pull: null, ...change }, own.signal).then(
      (answer) => {
        if (own.signal.aborted) return;
        if (answer.ok) compared = answer.value;
        else problem = answer.problem;
      },
      (error: unknown) => {
        if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
      },
    );
  });
</script>

<section class="dish no-print p-4" aria-labelledby="house-title">
  <h2 id="house-title" class="text-xl">{say('house_way.title')}</h2>
  <p class="mt-1 text-[0.95rem]">
    {say('house_way.salt', {
      how: saltName(plan.houseWays.salt),
      why: saltReason(plan.houseWays.salt),
    })}
    <WhyLink reason="salt_when" />
    {#if plan.houseWays.keepsSoakWater}
      {say('house_way.soak_water')} <WhyLink reason="soak_water" />
    {/if}
  </p>
  <label class="mt-2 block text-sm font-semibold" for="other-way">{say('house_way.compare')}</label>
  <select id="other-way" class="select mt-1 w-full" bind:value={other}>
    <option value="">{say('house_way.choose')}</option>
    {#each ways as w (w.id)}<option value={w.id}>{w.name}</option>{/each}
  </select>
  {#if problem}<p class="text-error mt-2" role="alert">{problem.title}. {problem.detail}</p>{/if}
  {#if compared && chosen}
    <div class="bg-base-200 mt-2 rounded-lg px-3 py-2" role="status">
      <p class="font-semibold tabular-nums">{beside(compared.plan)}</p>
      <p>
        <DifferenceList differences={compared.differences} none={say('house_way.same')} />
      </p>
      <button class="btn btn-sm btn-primary mt-2" onclick={() => tonight.change(chosen.change)}
        >{say('house_way.do')}</button
      >
    </div>
  {/if}
</section>
