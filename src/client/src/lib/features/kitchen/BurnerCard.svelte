<script lang="ts">
  import type { Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { burnerSize, burnerSizes, type BurnerSize } from '../../format/kitchen';
  import { say } from '../../messages/say';
  import { household } from '../../state/kitchen.svelte';
  import InUse from './InUse.svelte';
  import { takesHand, takesHandAfter } from '../../ui/hand';

  type Props = {
    /** The burner, or null for a new one. */
    burner: Kitchen['burners'][number] | null;
    removable: boolean;
    ondone?: () => void;
    onremoved?: (name: string, back: () => Promise<unknown>) => void;
  };
  let { burner, removable, ondone, onremoved }: Props = $props();

  // svelte-ignore state_referenced_locally
  let editing = $state(burner === null);
  // svelte-ignore state_referenced_locally
  let name = $state(burner?.name ?? '');
  // svelte-ignore state_referenced_locally
  let size = $state<BurnerSize>(burnerSize(burner?.mostWatts ?? burnerSizes.middle));
  // svelte-ignore state_referenced_locally
  let gas = $state(burner?.gas ?? false);
  /** It was open here before: the hand goes back to where it was opened. */
  let closed = $state(false);
  let problem = $state<Problem | null>(null);
  let users = $state<{ dinners: string[]; count: number } | null>(null);
  const fault = (field: string) => problem?.errors?.find((e) => e.field === field)?.detail;
  const sizes = Object.keys(burnerSizes) as BurnerSize[];

  function close() {
    editing = false;
    closed = true;
    ondone?.();
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    // A size that stays keeps the watts that were measured.
    const mostWatts = burner && burnerSize(burner.mostWatts) === size ? burner.mostWatts : burnerSizes[size];
    const change = { name, mostWatts, gas, version: burner?.version ?? 0 };
    problem = burner ? await household.changeBurner(burner.id, change) : await household.addBurner(change);
    if (problem) return;
    close();
  }

  async function remove(keep = false) {
    if (!burner) return;
    const { id, version, ...was } = burner;
    const answer = await household.removeBurner(id, version, keep);
    const asks = answer?.code === 'kitchen.burner_in_use';
    users = asks ? (answer.current as { dinners: string[]; count: number }) : null;
    problem = asks ? null : answer;
    if (!answer)
      onremoved?.(was.name, () =>
        household.changeBurner(id, {
          name: was.name,
          mostWatts: was.mostWatts,
          gas: was.gas,
          version: version + 1,
        }),
      );
  }
</script>

<section class="dish flex flex-col p-4">
  {#if editing}
    <form onsubmit={save} class="flex flex-col gap-2">
      <label class="text-sm font-semibold"
        >{say('kitchen.name')}<input
          class="input w-full text-base font-normal"
          {@attach takesHand}
          bind:value={name}
          maxlength="60"
        /></label
      >
      {#if fault('name')}<p class="text-error text-sm" role="alert">{fault('name')}</p>{/if}
      <label class="text-sm font-semibold"
        >{say('kitchen.size')}<select class="select w-full text-base font-normal" bind:value={size}>
          {#each sizes as s (s)}<option value={s}>{say(`kitchen.size.${s}`)}</option>{/each}
        </select></label
      >
      <label class="flex items-center gap-3 font-semibold">
        <input class="checkbox checkbox-primary" type="checkbox" bind:checked={gas} />
        {say('kitchen.gas')}
      </label>
      {#if problem && !problem.errors}<p class="text-error text-sm" role="alert">{problem.detail}</p>{/if}
      <div class="mt-1 flex gap-2">
        <button class="btn btn-primary btn-sm" type="submit">{say('kitchen.save')}</button>
        <button class="btn btn-ghost btn-sm" type="button" onclick={close}>{say('kitchen.cancel')}</button>
      </div>
    </form>
  {:else if burner}
    <h3 class="display text-lg">{burner.name}</h3>
    <p>
      {say('kitchen.burner.told', { size: burnerSize(burner.mostWatts), gas: burner.gas ? 'yes' : null })}
    </p>
    <p class="text-sm opacity-85">{say('kitchen.burner.watts', { watts: burner.mostWatts })}</p>
    <div class="mt-2 flex gap-2">
      <button
        class="btn btn-sm btn-outline btn-primary"
        aria-label={say('kitchen.change_it', { name: burner.name })}
        {@attach takesHandAfter(() => closed)}
        onclick={() => (editing = true)}>{say('kitchen.change')}</button
      >
      {#if removable}
        <button
          class="btn btn-sm btn-ghost"
          aria-label={say('kitchen.remove_it', { name: burner.name })}
          onclick={() => remove()}>{say('kitchen.remove')}</button
        >
      {/if}
    </div>
    {#if users}<InUse {users} onyes={() => remove(true)} onno={() => (users = null)} />{/if}
    {#if problem}<p class="text-error mt-1 text-sm" role="alert">{problem.detail}</p>{/if}
  {/if}
</section>
