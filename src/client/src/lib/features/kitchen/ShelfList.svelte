<script lang="ts">
  import { Trash2 } from '@lucide/svelte';
  import { api, type Answer, type Found, type Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { household } from '../../state/kitchen.svelte';
  import NamePicker from '../../ui/NamePicker.svelte';

  type Props = { kitchen: Kitchen };
  let { kitchen }: Props = $props();

  /** A bag as most shops sell it: to be corrected by a scale. */
  const bag = 500;
  let problem = $state<{ id: string; problem: Problem } | null>(null);

  async function find(q: string, signal: AbortSignal): Promise<Answer<Found[]>> {
    const [pulses, rices] = await Promise.all([api.findPulses(q, signal), api.findRices(q, signal)]);
    if (!pulses.ok) return pulses;
    if (!rices.ok) return rices;
    const all = [...pulses.value, ...rices.value];
    return { ok: true, value: all.filter((f) => !kitchen.shelf.some((s) => s.id === f.id)) };
  }

  async function set(id: string, grams: number) {
    const answer = await household.setShelf(id, grams);
    problem = answer ? { id, problem: answer } : null;
  }
</script>

<section class="dish mt-5 p-4" aria-labelledby="shelf-title">
  <h2 id="shelf-title" class="text-xl">On the shelf</h2>
  {#if kitchen.shelf.length === 0}<p class="mt-1">
      Nothing yet. Add a bag, and a plan can use what is left of it.
    </p>{/if}
  <ul class="mt-2 grid gap-x-8 gap-y-2 sm:grid-cols-2 lg:grid-cols-3">
    {#each kitchen.shelf as line (line.id)}
      <li class="grid grid-cols-[1fr_6.5rem_2.4rem] items-center gap-2">
        <span>{line.name}</span>
        <label class="input px-2">
          <input
            class="w-full"
            type="number"
            min="20"
            aria-label="{line.name}, grams left"
            aria-invalid={problem?.id === line.id ? true : undefined}
            value={line.grams}
            onchange={(e) => e.currentTarget.value !== '' && set(line.id, e.currentTarget.valueAsNumber)}
          /><span class="text-sm">g</span>
        </label>
        <button
          class="btn btn-ghost btn-sm btn-square"
          aria-label="{line.name} is used up"
          onclick={() => set(line.id, 0)}
        >
          <Trash2 size={17} />
        </button>
        {#if problem?.id === line.id}
          <p class="text-error col-span-3 text-sm" role="alert">
            {problem.problem.errors?.[0]?.detail ?? problem.problem.detail}
          </p>
        {/if}
      </li>
    {/each}
  </ul>
  <div class="mt-3 max-w-sm">
    <NamePicker id="shelf-add" label="Add a bag" chosen="" {find} onchoose={(id) => set(id, bag)} />
  </div>
</section>
