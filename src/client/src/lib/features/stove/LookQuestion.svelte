<script lang="ts">
  import { within } from '../../messages/figures';
  import type { StoveLook, StoveMoment } from '../../api/client';
  import { handStates } from '../../format/stove';
  import { feltWord } from '../../format/words';
  import { core } from '../../format/words';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { seedOf } from '../../ui/seeds';
  import { say } from '../../messages/say';

  type Props = {
    stove: AtStove;
    moment: StoveMoment;
    look: StoveLook;
    /** Asked for what the hand feels, where chalk could be counted; it decides what is asked above too. */
    feel: boolean;
    ondone: () => void;
  };
  let { stove, moment, look, feel = $bindable(), ondone }: Props = $props();

  const seed = $derived(
    seedOf(look.kind, stove.state?.seeds.find((s) => s.id === look.ingredient)?.seed ?? ''),
  );
  const rice = $derived(look.kind === 'rice');
  const enough = $derived(look.enoughChalky ?? null);
  const counting = $derived(enough !== null && !rice && !feel);

  /** Whether that is enough is judged by all that was told: until it is, nothing is asked again. */
  const heard = $derived(stove.state?.version ?? 0);
  let answered = $state(-1);
  /** What the kettle refused is not judged: it is asked again. */
  let turnedDown = $state(0);
  const busy = $derived(stove.live && answered === heard && stove.refused.length === turnedDown);

  function answer(told: Parameters<AtStove['tell']>[0]) {
    answered = heard;
    turnedDown = stove.refused.length;
    // The next look counts again.
    feel = false;
    stove.tell({ ...told, ingredient: look.ingredient });
    // Any answer was wanted, and none is judged.
    if (look.state === 'hard') ondone();
  }
</script>

{#if counting}
  <p class="mt-2 text-2xl">
    {say('look.halve', { name: within(look.name), enough })}
  </p>
  <div class="mt-5 grid grid-cols-3 gap-3 sm:grid-cols-6" data-moment-look={moment.id}>
    {#each [0, 1, 2, 3, 4, 5] as count (count)}
      <button
        class="btn stove-btn flex-col gap-2"
        style="--stove-size: 2.4rem; --stove-height: 6rem"
        disabled={busy}
        onclick={() => answer({ kind: 'chalky', count, of: 5 })}
      >
        {count}
        <span class="flex gap-0.5" aria-hidden="true">
          {#each [1, 2, 3, 4, 5] as n (n)}<BeanMark core={n <= count ? 0.5 : 0} size={15} {seed} />{/each}
        </span>
      </button>
    {/each}
  </div>
  <div class="mt-3 flex flex-wrap gap-3">
    <button class="btn stove-btn btn-ghost" onclick={() => (feel = true)}>{say('look.by_feel')}</button>
  </div>
{:else}
  <p class="mt-2 text-2xl">
    {rice ? say('look.bite') : say('look.squeeze', { name: within(look.name) })}
  </p>
  <div class="mt-5 grid grid-cols-2 gap-3 sm:grid-cols-3" data-look-feel>
    {#each handStates as named (named)}
      <button
        class="btn stove-btn justify-start text-left leading-tight"
        style="--stove-size: 1.3rem; --stove-height: 5rem"
        class:btn-primary={named === look.state}
        disabled={busy}
        onclick={() => answer({ kind: 'felt', state: named })}
      >
        <BeanMark core={core[named] ?? 0} size={40} {seed} />
        {feltWord(rice ? 'rice' : 'pulse', named)}
      </button>
    {/each}
  </div>
  {#if feel}
    <button class="btn stove-btn btn-ghost mt-3" onclick={() => (feel = false)}>{say('look.by_chalk')}</button
    >
  {/if}
{/if}
