<script lang="ts">
  import type { CookerKind, Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { say } from '../../messages/say';
  import InUse from './InUse.svelte';
  import { takesHand, takesHandAfter } from '../../ui/hand';
  import { household } from '../../state/kitchen.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { unitOf } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';

  type Props = {
    /** The pot, or null for a new one. */
    vessel: Kitchen['vessels'][number] | null;
    removable: boolean;
    ondone?: () => void;
    onremoved?: (name: string, back: () => Promise<unknown>) => void;
  };
  let { vessel, removable, ondone, onremoved }: Props = $props();

  // svelte-ignore state_referenced_locally
  let editing = $state(vessel === null);
  // svelte-ignore state_referenced_locally
  let name = $state(vessel?.name ?? '');
  // svelte-ignore state_referenced_locally
  let diameter = $state<number | null>(vessel?.diameterCentimetres ?? 24);
  // svelte-ignore state_referenced_locally
  let litres = $state<number | null>(vessel ? vessel.brimMillilitres / 1000 : 5);
  // svelte-ignore state_referenced_locally
  let cooker = $state<CookerKind | ''>(vessel?.cooker ?? '');
  /** It was open here before: the hand goes back to where it was opened. */
  let closed = $state(false);
  let problem = $state<Problem | null>(null);
  const kinds = $derived<Record<string, string>>({
    '': say('cooker.none'),
    weight: say('cooker.weight.long'),
    spring: say('cooker.spring.long'),
    electric: say('cooker.electric'),
    slow: say('cooker.slow'),
    rice: say('cooker.rice'),
  });
  const fault = (field: string) => problem?.errors?.find((e) => e.field === field)?.detail;

  function close() {
    editing = false;
    closed = true;
    ondone?.();
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const change = {
      name,
      diameterCentimetres: diameter ?? 0,
      brimMillilitres: (litres ?? 0) * 1000,
      cooker: cooker || null,
      version: vessel?.version ?? 0,
    };
    problem = vessel ? await household.changeVessel(vessel.id, change) : await household.addVessel(change);
    if (!problem) {
      close();
    }
  }

  /** Dinners that would lose it, where the kettle asks before. */
  let users = $state<{ dinners: string[]; count: number } | null>(null);

  async function remove(keep = false) {
    if (!vessel) return;
    const answer = await household.removeVessel(vessel.id, vessel.version, keep);
    const asks = answer?.code === 'kitchen.vessel_in_use';
    users = asks ? (answer.current as { dinners: string[]; count: number }) : null;
    problem = asks ? null : answer;
    const was = vessel;
    if (!answer)
      onremoved?.(was.name, () =>
        household.changeVessel(was.id, {
          name: was.name,
          diameterCentimetres: was.diameterCentimetres,
          brimMillilitres: was.brimMillilitres,
          cooker: was.cooker,
          version: was.version + 1,
        }),
      );
  }

  /** The pot's outline to one scale for all: 3 px a centimetre. */
  const w = $derived((vessel?.diameterCentimetres ?? 0) * 3);
  const h = $derived((vessel?.heightCentimetres ?? 0) * 3);
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
        >{say('kitchen.width', { unit: unitOf('centimetres', units.us) })}<MeasureField
          of="centimetres"
          class="input w-full text-base font-normal"
          bind:value={diameter}
        /></label
      >
      {#if fault('diameterCentimetres')}<p class="text-error text-sm" role="alert">
          {fault('diameterCentimetres')}
        </p>{/if}
      <label class="text-sm font-semibold"
        >{say('kitchen.brim', { unit: unitOf('litres', units.us) })}<MeasureField
          of="litres"
          class="input w-full text-base font-normal"
          bind:value={litres}
        /></label
      >
      {#if fault('brimMillilitres')}<p class="text-error text-sm" role="alert">
          {fault('brimMillilitres')}
        </p>{/if}
      <label class="text-sm font-semibold"
        >{say('kitchen.what')}<select class="select w-full text-base font-normal" bind:value={cooker}>
          {#each Object.entries(kinds) as [id, kind] (id)}<option value={id}>{kind}</option>{/each}
        </select></label
      >
      <div class="mt-1 flex gap-2">
        <button class="btn btn-primary btn-sm" type="submit">{say('kitchen.save')}</button>
        <button class="btn btn-ghost btn-sm" type="button" onclick={close}>{say('kitchen.cancel')}</button>
      </div>
    </form>
  {:else if vessel}
    <svg viewBox="0 0 130 60" class="h-20 self-center" aria-hidden="true">
      <path
        d="M{65 - w / 2 - 4} {56 - h}H{65 - w / 2}V48Q{65 - w / 2} 56 {65 - w / 2 + 8} 56H{65 +
          w / 2 -
          8}Q{65 + w / 2} 56 {65 + w / 2} 48V{56 - h}H{65 + w / 2 + 4}"
        fill="var(--pot-inside)"
        stroke="var(--pot-wall)"
        stroke-width="3.5"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </svg>
    <h2 class="mt-2 text-xl">{vessel.name}</h2>
    <p>
      {say('kitchen.pot.told', {
        width: vessel.diameterCentimetres,
        height: vessel.heightCentimetres,
        litres: vessel.brimMillilitres / 1000,
      })}
    </p>
    {#if vessel.cooker}<p class="text-sm font-semibold">{kinds[vessel.cooker]}</p>{/if}
    <p class="text-sm opacity-85">
      {say('kitchen.pot.level', {
        unit: unitOf('centimetres', units.us),
        millilitres: vessel.millilitresPerCentimetre * (units.us ? 2.54 : 1),
      })}
    </p>
    <div class="mt-2 flex gap-2">
      <button
        class="btn btn-sm btn-outline btn-primary"
        aria-label={say('kitchen.change_it', { name: vessel.name })}
        {@attach takesHandAfter(() => closed)}
        onclick={() => (editing = true)}>{say('kitchen.change')}</button
      >
      {#if removable}
        <button
          class="btn btn-sm btn-ghost"
          aria-label={say('kitchen.remove_it', { name: vessel.name })}
          onclick={() => remove()}>{say('kitchen.remove')}</button
        >
      {/if}
    </div>
    {#if users}
      <InUse {users} onyes={() => remove(true)} onno={() => (users = null)} />
    {/if}
    {#if problem}<p class="text-error mt-1 text-sm" role="alert">{problem.detail}</p>{/if}
  {/if}
</section>
