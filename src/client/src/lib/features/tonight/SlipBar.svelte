<script lang="ts">
  import { within } from '../../messages/figures';
  import { Undo2 } from '@lucide/svelte';
  import type { Kitchen, Plan, Slip } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import type { Tonight } from '../../state/tonight.svelte';
  import DifferenceList from './DifferenceList.svelte';

  type Props = { tonight: Tonight; plan: Plan; kitchen: Kitchen };
  let { tonight, plan, kitchen }: Props = $props();
  let problem = $state<Problem | null>(null);

  type Offer = { text: string; slip: Slip };
  const offers = $derived<Offer[]>([
    { text: 'Half an hour late', slip: { kind: 'start_late', minutes: 30 } },
    { text: 'Dinner 30 min later', slip: { kind: 'dinner_moves', minutes: 30 } },
    { text: 'Dinner 30 min sooner', slip: { kind: 'dinner_moves', minutes: -30 } },
    ...(tonight.dish.soak === 'overnight'
      ? [{ text: 'Forgot to soak', slip: { kind: 'soak_forgotten' } } satisfies Offer]
      : []),
    { text: 'Two more guests', slip: { kind: 'more_guests', people: 2 } },
    ...plan.measureOut.extras.map<Offer>((x) => ({
      text: `No ${within(x.name)}`,
      slip: { kind: 'without', what: x.extraId },
    })),
    ...kitchen.vessels
      .filter((v) => !v.cooker && v.id !== tonight.dish.vesselId && v.id !== tonight.dish.riceVesselId)
      .map<Offer>((v) => ({
        text: `Only the ${v.name}`,
        slip: { kind: 'smaller_pot', what: v.id },
      })),
  ]);

  async function mend(slip: Slip) {
    problem = await tonight.slip({ minutes: null, people: null, what: null, ...slip });
  }
</script>

<section class="dish no-print mt-4 px-4 py-3" aria-labelledby="slips-title">
  <h2 id="slips-title" class="text-lg">Something changed?</h2>
  <div class="mt-2 flex flex-wrap gap-2">
    {#each offers as offer (offer.text)}
      <button class="btn btn-sm btn-outline btn-primary h-10" onclick={() => mend(offer.slip)}
        >{offer.text}</button
      >
    {/each}
  </div>
  {#if problem}
    <p class="text-error mt-2" role="alert">{problem.title}. {problem.detail}</p>
  {/if}
  {#if tonight.mended}
    <div
      class="bg-base-200 mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-lg px-3 py-2"
      role="status"
    >
      <p class="min-w-0 flex-1 basis-60">
        <strong>{tonight.mended.note}.</strong>
        <DifferenceList differences={tonight.mended.differences} none="Nothing else changes." />
      </p>
      <button class="btn btn-sm btn-primary" onclick={() => tonight.unslip()}><Undo2 size={16} /> Undo</button
      >
    </div>
  {/if}
</section>
