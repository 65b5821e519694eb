<script lang="ts">
  import { happened } from '../../format/stove';
  import { clock } from '../../format/time';
  import { say } from '../../messages/say';
  import type { PracticeDinner } from '../../state/practiceDinner.svelte';

  type Props = { dinner: PracticeDinner; zone: string };
  let { dinner, zone }: Props = $props();
  const now = $derived(clock(new Date(dinner.clock.now).toISOString(), zone));
  const called = $derived(dinner.called);
</script>

<!-- Its own clock: it stands still until somebody lets it go on. -->
<section class="dish flex flex-wrap items-center gap-x-4 gap-y-2 p-3" aria-label={say('practice.time')}>
  <p class="display text-3xl tabular-nums" aria-live="polite" data-clock>
    <span class="sr-only">{say('practice.it_is')}</span>
    {now}
  </p>
  <div class="flex flex-wrap gap-2">
    <button
      class="btn btn-secondary min-h-12"
      disabled={dinner.busy}
      onclick={() => void dinner.goOn({ next: true })}>{say('practice.until_next')}</button
    >
    {#each [1, 5, 15] as minutes (minutes)}
      <button class="btn min-h-12" disabled={dinner.busy} onclick={() => void dinner.goOn({ minutes })}
        >{say('practice.go_on', { minutes })}</button
      >
    {/each}
  </div>
  {#each dinner.seen?.signs ?? [] as heard (heard.vesselId + heard.what)}
    <p class="text-secondary text-xl font-bold" role="status" data-sign={heard.what}>
      {happened(heard.what)}
    </p>
  {/each}
  {#if called}
    <p class="basis-full text-lg font-semibold" role="status" data-called>
      {say('practice.called', { by: called.by, time: clock(called.at, zone), minutes: called.minutes })}
    </p>
  {/if}
</section>
