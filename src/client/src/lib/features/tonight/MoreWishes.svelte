<script lang="ts">
  import type { Catalogue, Dish, Kitchen, SaltSchool } from '../../api/client';
  import { hourSaid, parseTime } from '../../format/time';
  import { saltIds, saltName } from '../../format/words';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';
  import SelectField from '../../ui/SelectField.svelte';
  import AtHand from './AtHand.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen; catalogue: Catalogue };
  let { tonight, kitchen, catalogue }: Props = $props();

  type Stage = NonNullable<Dish['stages']>[number];

  const dish = $derived(tonight.dish);
  const away = $derived(dish.away?.[0] ?? null);
  const day = $derived(dish.serveAtLocal.slice(0, 10));
  const rested = $derived(
    kitchen.vessels.filter((v) => (!v.cooker || v.cooker === 'rice') && v.id !== dish.vesselId),
  );
  /** Pulses leave their liquid for the rice only in an open pot, and one kind of them. */
  const leaves = $derived((dish.method ?? 'open_pot') === 'open_pot' && !dish.others?.length);
  /** Before the id of a pot into which the pulses' liquid is poured for the rice. */
  const liquorIn = 'liquor:';
  const riceIn = (where: string) =>
    where === 'in_the_pot' || where === 'after_draining' || where === 'in_the_liquor'
      ? ({ riceJoin: where, riceVesselId: null } as const)
      : where.startsWith(liquorIn)
        ? ({ riceJoin: 'in_the_liquor', riceVesselId: where.slice(liquorIn.length) } as const)
        : ({ riceJoin: 'in_the_pot', riceVesselId: where } as const);
  const riceWhere = $derived(
    dish.riceVesselId
      ? `${dish.riceJoin === 'in_the_liquor' ? liquorIn : ''}${dish.riceVesselId}`
      : (dish.riceJoin ?? 'in_the_pot'),
  );
  const stages: Stage[] = [
    'base',
    'season',
    'move',
    'mash',
    'bind',
    'toast',
    'plenty',
    'towel',
    'crust',
    'fold',
  ];
  const ofRice: Stage[] = ['toast', 'plenty', 'towel', 'crust', 'fold'];
  /** What is of the rice is asked where there is rice; whether a way has a place for it, the plan tells. */
  const offered = $derived(
    stages.filter(
      (s) => (dish.riceId || !ofRice.includes(s)) && (s !== 'move' || dish.method === 'pressure'),
    ),
  );
  const leftOut = $derived(tonight.plan?.leftOut ?? []);

  const ask = (stage: Stage, wanted: boolean) =>
    tonight.change({
      stages: [...(dish.stages ?? []).filter((s) => s !== stage), ...(wanted ? [stage] : [])],
    });

  /** A bare hour is one of the evening's. */
  const evening = $derived(dish.serveAtLocal.slice(11));
  let leave = $derived(hourSaid(away?.fromLocal.slice(11) ?? ''));
  let back = $derived(hourSaid(away?.toLocal.slice(11) ?? ''));
  let unread = $state(false);
  const fault = $derived(
    unread ? say('form.times_fault', { time: hourSaid('17:30') }) : tonight.fault('away'),
  );

  function setAway() {
    if (!leave && !back) {
      unread = false;
      if (away) void tonight.change({ away: [] });
      return;
    }
    const [from, to] = [parseTime(leave, evening), parseTime(back, evening)];
    unread = !!leave && !!back && !(from && to);
    if (from && to) void tonight.change({ away: [{ fromLocal: `${day}T${from}`, toLocal: `${day}T${to}` }] });
  }
</script>

<details>
  <summary class="cursor-pointer text-sm font-semibold">{say('form.more')}</summary>
  <div class="mt-3 flex flex-col gap-3.5">
    <AtHand {tonight} {catalogue} />
    {#if dish.riceId && (dish.riceState ?? 'dry') === 'dry'}
      <div>
        <label class="mb-1 block text-sm font-semibold" for="rice-pot">{say('form.rice_pot')}</label>
        <select
          id="rice-pot"
          class="select w-full text-[0.95rem]"
          value={riceWhere}
          onchange={(e) => tonight.change(riceIn(e.currentTarget.value))}
        >
          <option value="in_the_pot">{say('form.rice.in_the_pot')}</option>
          {#if leaves}
            <option value="after_draining">{say('form.rice.after_draining')}</option>
            <option value="in_the_liquor">{say('form.rice.in_the_liquor')}</option>
            {#each rested.filter((v) => !v.cooker) as v (v.id)}<option value={liquorIn + v.id}
                >{say('form.rice.liquor_in', { pot: v.name })}</option
              >{/each}
          {/if}
          {#if dish.method === 'pressure'}<option value="bowl_above">{say('form.rice.bowl_above')}</option
            >{/if}
          {#each rested as v (v.id)}<option value={v.id}>{say('form.rice.beside', { pot: v.name })}</option
            >{/each}
        </select>
        {#if tonight.fault('riceVesselId') ?? tonight.fault('riceJoin')}<p
            class="text-error mt-1 text-sm"
            role="alert"
          >
            {tonight.fault('riceVesselId') ?? tonight.fault('riceJoin')}
          </p>{/if}
      </div>
    {/if}
    <fieldset>
      <legend class="mb-1 text-sm font-semibold">{say('stages.legend')}</legend>
      {#each offered as stage (stage)}
        <label class="flex min-h-10 items-center gap-2 text-[0.95rem]">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={dish.stages?.includes(stage) ?? false}
            onchange={(e) => ask(stage, e.currentTarget.checked)}
          />{say(`stage.${stage}`)}{#if dish.stages?.includes(stage) && leftOut.includes(stage)}<span
              class="text-error">({say('stage.no_place')})</span
            >{/if}
        </label>
      {/each}
    </fieldset>
    <fieldset>
      <legend class="mb-1 text-sm font-semibold">{say('form.away')}</legend>
      <div class="grid grid-cols-[1fr_auto_1fr] items-center gap-2">
        <input
          class="input text-base tabular-nums"
          placeholder="17:30"
          aria-label={say('form.out_from')}
          aria-invalid={fault ? true : undefined}
          bind:value={leave}
          onchange={setAway}
        />
        <span>{say('form.to')}</span>
        <input
          class="input text-base tabular-nums"
          placeholder="18:30"
          aria-label={say('form.back_at')}
          aria-invalid={fault ? true : undefined}
          bind:value={back}
          onchange={setAway}
        />
      </div>
      {#if fault}<p class="text-error mt-1 text-sm" role="alert">{fault}</p>{/if}
    </fieldset>
    <div class="grid grid-cols-[1fr_5.5rem] gap-3">
      <div>
        <label class="mb-1 block text-sm font-semibold" for="salt">{say('form.salt')}</label>
        <select
          id="salt"
          class="select w-full text-[0.95rem]"
          value={dish.salt ?? ''}
          onchange={(e) => tonight.change({ salt: (e.currentTarget.value || null) as SaltSchool | null })}
        >
          <option value="">{say('form.your_salt', { way: saltName(kitchen.salt) })}</option>
          {#each saltIds.filter((id) => id !== kitchen.salt) as id (id)}
            <option value={id}>{saltName(id)}</option>
          {/each}
        </select>
      </div>
      <div>
        <label class="mb-1 block text-sm font-semibold" for="little">{say('form.little')}</label>
        <input
          id="little"
          class="input w-full text-base"
          type="number"
          min="0"
          max="10"
          value={dish.littleOnes ?? 0}
          aria-invalid={tonight.fault('littleOnes') ? true : undefined}
          onchange={(e) => tonight.change({ littleOnes: e.currentTarget.valueAsNumber || 0 })}
        />
      </div>
    </div>
    {#if tonight.fault('littleOnes')}<p class="text-error text-sm" role="alert">
        {tonight.fault('littleOnes')}
      </p>{/if}
    <SelectField
      id="burner"
      label={say('form.flame')}
      options={kitchen.burners}
      value={dish.burnerId ?? ''}
      onchange={(burnerId) => tonight.change({ burnerId })}
    />
  </div>
</details>
