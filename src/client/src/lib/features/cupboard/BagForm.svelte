<script lang="ts">
  import type { BagChange, Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { say } from '../../messages/say';
  import { household } from '../../state/kitchen.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { takesHand } from '../../ui/hand';
  import { unitOf } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';
  import SelectField from '../../ui/SelectField.svelte';
  import type { Bag } from '../../format/pace';

  type Props = {
    kitchen: Kitchen;
    foodId: string;
    foodName: string;
    /** The bag, or null for a new one. */
    bag: Bag | null;
    onsaved: () => void;
    oncancel: () => void;
  };
  let { kitchen, foodId, foodName, bag, onsaved, oncancel }: Props = $props();

  const storages = ['cupboard', 'cool', 'warm', 'hot'] as const;
  /** A bag as most shops sell it: to be corrected by a scale. */
  const usual = 500;
  // svelte-ignore state_referenced_locally
  let name = $state(bag?.name ?? '');
  // svelte-ignore state_referenced_locally
  let grams = $state<number | null>(bag?.grams ?? usual);
  // svelte-ignore state_referenced_locally
  let bought = $state(bag ? (bag.boughtOn ?? '') : kitchen.nowLocal.slice(0, 10));
  // svelte-ignore state_referenced_locally
  let best = $state(bag?.bestBefore ?? '');
  // svelte-ignore state_referenced_locally
  let storage = $state<BagChange['storage']>(bag?.storage ?? 'cupboard');
  let problem = $state<Problem | null>(null);
  const fault = (field: string) => problem?.errors?.find((e) => e.field === field)?.detail ?? null;
  const id = $derived(bag?.id ?? 'new');

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const change: BagChange = {
      foodId,
      name,
      grams: grams ?? 0,
      boughtOn: bought || null,
      bestBefore: best || null,
      storage,
      version: bag?.version ?? 0,
    };
    problem = bag ? await household.changeBag(bag.id, change) : await household.addBag(change);
    if (!problem) onsaved();
  }
</script>

{#snippet failed(field: string)}
  {#if fault(field)}<p id="{field}-{id}-error" class="text-error text-sm" role="alert">{fault(field)}</p>{/if}
{/snippet}

<form class="grid gap-3 sm:grid-cols-2" onsubmit={save} aria-label={foodName}>
  <div>
    <label class="mb-1 block text-sm font-semibold" for="grams-{id}"
      >{say('cupboard.field.left', { unit: unitOf('grams', units.us) })}</label
    >
    <MeasureField
      of="grams"
      id="grams-{id}"
      class="input w-full text-base"
      bind:value={grams}
      {...fault('grams') ? { 'aria-invalid': true } : {}}
      {@attach takesHand}
    />
    {@render failed('grams')}
  </div>
  <div>
    <label class="mb-1 block text-sm font-semibold" for="name-{id}">{say('cupboard.field.name')}</label>
    <input id="name-{id}" class="input w-full text-base" maxlength="60" bind:value={name} />
    {@render failed('name')}
  </div>
  <div>
    <label class="mb-1 block text-sm font-semibold" for="bought-{id}">{say('cupboard.field.bought')}</label>
    <input
      id="bought-{id}"
      class="input w-full text-base"
      type="date"
      max={kitchen.nowLocal.slice(0, 10)}
      bind:value={bought}
    />
    {@render failed('boughtOn')}
  </div>
  <div>
    <label class="mb-1 block text-sm font-semibold" for="best-{id}">{say('cupboard.field.best')}</label>
    <input id="best-{id}" class="input w-full text-base" type="date" bind:value={best} />
    {@render failed('bestBefore')}
  </div>
  <SelectField
    id="storage-{id}"
    label={say('cupboard.storage.legend')}
    options={storages.map((s) => ({ id: s, name: say(`cupboard.storage.${s}`) }))}
    value={storage}
    onchange={(chosen) => (storage = chosen)}
  />
  <div class="flex items-end gap-2">
    <button class="btn btn-primary" type="submit">{say('cupboard.save')}</button>
    <button class="btn btn-ghost" type="button" onclick={oncancel}>{say('cupboard.cancel')}</button>
  </div>
  {#if problem && !problem.errors?.length}<p class="text-error text-sm sm:col-span-2" role="alert">
      {problem.detail}
    </p>{/if}
</form>
