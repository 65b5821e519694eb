<script lang="ts">
  import { X } from '@lucide/svelte';
  import type { Extra, ExtraWish, Plan } from '../../api/client';
  import WeightField from '../../ui/WeightField.svelte';
  import { say } from '../../messages/say';

  type Props = {
    extras: Extra[];
    chosen: ExtraWish[];
    /** Grams as the plan has them, where nobody said any. */
    planned: Plan['measureOut']['extras'];
    /** The rice has a pot of its own. */
    riceApart: boolean;
    onchange: (chosen: ExtraWish[]) => void;
    error?: string | null;
  };
  let { extras, chosen, planned, riceApart, onchange, error = null }: Props = $props();

  const freezes = (id: string) => extras.find((e) => e.id === id)?.freezes ?? false;
  const cured = (id: string) => extras.find((e) => e.id === id)?.saltAfterBlanch != null;
  const infuses = (id: string) => extras.find((e) => e.id === id)?.infuses ?? false;
  const stays = (id: string) => !(extras.find((e) => e.id === id)?.comesOut ?? false);
  const time = (wish: ExtraWish) =>
    wish.time ?? planned.find((p) => p.extraId === wish.extraId)?.time ?? 'start';
  const name = (id: string) => extras.find((e) => e.id === id)?.name ?? id;
  const grams = (wish: ExtraWish) =>
    wish.amount?.value ?? planned.find((p) => p.extraId === wish.extraId)?.grams ?? null;
  const free = $derived(extras.filter((e) => !chosen.some((c) => c.extraId === e.id)));
  /** What goes in at the end has no half that is kept for it. */
  const changeTime = (id: string, to: NonNullable<ExtraWish['time']>) =>
    change(id, to === 'late' ? { time: to, keptHalf: null } : { time: to, minutesBefore: null });
  const change = (id: string, part: Partial<ExtraWish>) =>
    onchange(chosen.map((c) => (c.extraId === id ? { ...c, ...part } : c)));
</script>

{#snippet asked(wish: ExtraWish, what: 'frozen' | 'blanched' | 'keptHalf', words: string)}
  <label class="col-span-3 flex min-h-10 items-center gap-2 text-[0.95rem]">
    <input
      type="checkbox"
      class="checkbox checkbox-sm"
      aria-label={say('form.extra_of', { name: name(wish.extraId), what: words })}
      checked={wish[what] ?? false}
      onchange={(e) => change(wish.extraId, { [what]: e.currentTarget.checked })}
    />{words}
  </label>
{/snippet}

<fieldset>
  <legend class="mb-1 text-sm font-semibold">{say('form.extras')}</legend>
  {#each chosen as wish (wish.extraId)}
    <div class="mb-2.5 grid grid-cols-[1fr_1.25fr_2.2rem] items-center gap-1.5">
      <span class="col-span-3 text-[0.95rem]">{name(wish.extraId)}</span>
      <WeightField
        name={name(wish.extraId)}
        grams={grams(wish)}
        onchange={(value) => change(wish.extraId, { amount: { value, unit: 'g' } })}
      />
      <select
        class="select px-2 text-sm"
        aria-label={say('form.extra_when', { name: name(wish.extraId) })}
        value={time(wish)}
        onchange={(e) => changeTime(wish.extraId, e.currentTarget.value as NonNullable<ExtraWish['time']>)}
      >
        <option value="start">{say('form.at_the_start')}</option>
        <option value="join">{say('form.when_soft')}</option>
        <option value="late">{say('form.at_the_end')}</option>
        {#if riceApart || wish.time === 'rice'}<option value="rice">{say('form.with_the_rice')}</option>{/if}
      </select>
      <button
        type="button"
        class="btn btn-ghost btn-sm btn-square"
        aria-label={say('form.leave_out', { name: name(wish.extraId) })}
        onclick={() => onchange(chosen.filter((c) => c.extraId !== wish.extraId))}><X size={16} /></button
      >
      {#if freezes(wish.extraId)}
        {@render asked(wish, 'frozen', say('extra.frozen'))}
      {/if}
      {#if cured(wish.extraId)}
        {@render asked(wish, 'blanched', say('extra.blanched'))}
      {/if}
      {#if time(wish) !== 'late' && stays(wish.extraId)}
        {@render asked(wish, 'keptHalf', say('extra.half'))}
      {/if}
      {#if time(wish) === 'late' || wish.keptHalf}
        <label class="col-span-3 flex items-center gap-2 text-[0.95rem]">
          <input
            class="input input-sm w-20"
            type="number"
            min="0"
            max="120"
            aria-label={say('form.extra_of', { name: name(wish.extraId), what: say('extra.before') })}
            placeholder={say('extra.usual')}
            value={wish.minutesBefore ?? ''}
            onchange={(e) =>
              change(wish.extraId, {
                minutesBefore: e.currentTarget.value === '' ? null : e.currentTarget.valueAsNumber,
              })}
          />{say('extra.before')}
        </label>
      {/if}
      {#if infuses(wish.extraId)}
        <select
          class="select select-sm col-span-3 text-[0.95rem]"
          aria-label={say('form.extra_of', { name: name(wish.extraId), what: say('extra.strength') })}
          value={wish.strength ?? 'usual'}
          onchange={(e) => change(wish.extraId, { strength: e.currentTarget.value as ExtraWish['strength'] })}
        >
          {#each ['weak', 'usual', 'strong'] as const as id (id)}
            <option value={id}>{say(`extra.strength.${id}`)}</option>
          {/each}
        </select>
      {/if}
    </div>
  {/each}
  <label class="select w-full text-[0.95rem]">
    <select
      aria-label={say('form.add_extra')}
      value=""
      onchange={(e) => {
        const extraId = e.currentTarget.value;
        e.currentTarget.value = '';
        if (extraId)
          onchange([
            ...chosen,
            {
              extraId,
              amount: null,
              time: null,
              pieces: null,
              blanched: null,
              frozen: null,
              minutesBefore: null,
              keptHalf: null,
              strength: null,
            },
          ]);
      }}
    >
      <option value="">{say('form.add_extra_hint')}</option>
      {#each free as e (e.id)}<option value={e.id}>{e.name}</option>{/each}
    </select>
  </label>
  {#if error}<p class="text-error mt-1 text-sm" role="alert">{error}</p>{/if}
</fieldset>
