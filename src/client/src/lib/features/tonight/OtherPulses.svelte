<script lang="ts">
  import { within } from '../../messages/figures';
  import { Plus, X } from '@lucide/svelte';
  import type { Answer, Catalogue, Found, PulseTarget } from '../../api/client';
  import { pulseTargets } from '../../format/words';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';
  import NamePicker from '../../ui/NamePicker.svelte';
  import WeightField from '../../ui/WeightField.svelte';

  type Props = {
    tonight: Tonight;
    catalogue: Catalogue;
    find: (q: string, signal: AbortSignal) => Promise<Answer<Found[]>>;
  };
  let { tonight, catalogue, find }: Props = $props();

  let adding = $state(false);
  const others = $derived(tonight.dish.others ?? []);
  const out = $derived(tonight.plan?.measureOut);
  const name = (id: string) => catalogue.pulses.find((p) => p.id === id)?.said ?? id;
  /** Grams as they were said, or as the plan has them: the slowest leads, so one of these may stand at its head. */
  const grams = (id: string, said: number | undefined) =>
    said ?? out?.others.find((o) => o.pulseId === id)?.grams ?? out?.pulseGrams ?? null;
  const fault = $derived(tonight.problem?.errors?.find((e) => e.field.startsWith('others'))?.detail ?? null);
</script>

{#each others as other (other.pulseId)}
  <div class="grid grid-cols-[1fr_6.2rem_2.2rem] items-center gap-1.5">
    <span class="col-span-3 text-[0.95rem]"
      >{say('form.and_pulse', { name: within(name(other.pulseId)) })}</span
    >
    <select
      class="select px-2 text-sm"
      aria-label={say('form.target_of', { name: name(other.pulseId), legend: say('target.pulse.legend') })}
      value={other.target ?? 'usual'}
      onchange={(e) => {
        const target = e.currentTarget.value === 'usual' ? null : (e.currentTarget.value as PulseTarget);
        void tonight.change({ others: others.map((o) => (o === other ? { ...o, target } : o)) });
      }}
    >
      {#each pulseTargets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
    </select>
    <WeightField
      name={name(other.pulseId)}
      grams={grams(other.pulseId, other.amount?.value)}
      onchange={(value) =>
        tonight.change({
          others: others.map((o) => (o === other ? { ...o, amount: { value, unit: 'g' } } : o)),
        })}
    />
    <button
      type="button"
      class="btn btn-ghost btn-sm btn-square"
      aria-label={say('form.leave_out', { name: name(other.pulseId) })}
      onclick={() => tonight.change({ others: others.filter((o) => o !== other) })}><X size={16} /></button
    >
  </div>
{/each}
{#if adding}
  <NamePicker
    id="other"
    label={say('form.and_another')}
    chosen=""
    {find}
    onchoose={(pulseId) => {
      adding = false;
      void tonight.change({ others: [...others, { pulseId, amount: null, target: null }] });
    }}
  />
{:else if others.length < 5}
  <button type="button" class="btn btn-ghost btn-sm -mt-2 self-start px-1" onclick={() => (adding = true)}>
    <Plus size={16} />
    {say('form.another')}
  </button>
{/if}
{#if fault}<p class="text-error text-sm" role="alert">{fault}</p>{/if}
