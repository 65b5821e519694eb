<script lang="ts">
  import { within } from '../../messages/figures';
  import { Undo2 } from '@lucide/svelte';
  import type { Kitchen, Plan, Slip } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import type { Tonight } from '../../state/tonight.svelte';
  import DifferenceList from './DifferenceList.svelte';
  import { say } from '../../messages/say';

  type Props = { tonight: Tonight; plan: Plan; kitchen: Kitchen };
  let { tonight, plan, kitchen }: Props = $props();
  let problem = $state<Problem | null>(null);

  type Offer = { text: string; slip: Slip };
  const offers = $derived<Offer[]>([
    { text: say('slip.late'), slip: { kind: 'start_late', minutes: 30 } },
    { text: say('slip.later'), slip: { kind: 'dinner_moves', minutes: 30 } },
    { text: say('slip.sooner'), slip: { kind: 'dinner_moves', minutes: -30 } },
    ...(tonight.dish.soak === 'overnight'
      ? [{ text: say('slip.forgot'), slip: { kind: 'soak_forgotten' } } satisfies Offer]
      : []),
    { text: say('slip.guests'), slip: { kind: 'more_guests', people: 2 } },
    ...plan.measureOut.extras.map<Offer>((x) => ({
      text: say('slip.without', { name: within(x.name) }),
      slip: { kind: 'without', what: x.extraId },
    })),
    ...kitchen.vessels
      .filter((v) => !v.cooker && v.id !== tonight.dish.vesselId && v.id !== tonight.dish.riceVesselId)
      .map<Offer>((v) => ({
        text: say('slip.only', { pot: v.name }),
        slip: { kind: 'smaller_pot', what: v.id },
      })),
  ]);

  async function mend(slip: Slip) {
    problem = await tonight.slip({ minutes: null, people: null, what: null, ...slip });
  }
</script>

<section class="dish no-print mt-4 px-4 py-3" aria-labelledby="slips-title">
  <h2 id="slips-title" class="text-lg">{say('slip.title')}</h2>
  <div class="mt-2 flex flex-wrap gap-2">
    {#each offers as offer (offer.text)}
      <button class="btn btn-outline btn-primary" onclick={() => mend(offer.slip)}>{offer.text}</button>
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
        <strong>{say('slip.note', { note: tonight.mended.note })}</strong>
        <DifferenceList differences={tonight.mended.differences} none={say('slip.nothing')} />
      </p>
      <button class="btn btn-sm btn-primary" onclick={() => tonight.unslip()}
        ><Undo2 size={16} /> {say('slip.undo')}</button
      >
    </div>
  {/if}
</section>
