<script lang="ts">
  import { api, type Copies } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { dayName } from '../../format/time';
  import { listed } from '../../format/words';
  import { say } from '../../messages/say';

  type Props = { today: string };
  let { today }: Props = $props();
  let copies = $state.raw<Copies | null>(null);
  let problem = $state.raw<Problem | null>(null);
  let copying = $state(false);
  let done = $state(false);

  async function load(anew: boolean) {
    copying = anew;
    done = false;
    const answer = await (anew ? api.copyNow() : api.copies());
    copying = false;
    done = anew && answer.ok;
    problem = answer.ok ? null : answer.problem;
    copies = answer.ok ? answer.value : copies;
  }
  $effect(() => void load(false));
</script>

<section class="dish mt-5 p-4" aria-labelledby="copies">
  <h2 id="copies" class="text-xl">{say('copies.title')}</h2>
  <p class="mt-1">
    {say('copies.text')}
    {#if copies?.days.length}
      {say('copies.days', { days: listed(copies.days.map((d) => dayName(d, today))) })}
    {:else if copies}
      {say('copies.none')}
    {/if}
  </p>
  {#if copies}
    <p class="mt-1 text-sm break-words">{say('copies.where', { folder: copies.folder })}</p>
  {/if}
  <p class="mt-3 flex flex-wrap items-center gap-3">
    <button class="btn btn-outline btn-primary" disabled={copying} onclick={() => load(true)}
      >{say('copies.now')}</button
    >
    <span role="status">{copying ? say('copies.copying') : done ? say('copies.done') : ''}</span>
  </p>
  {#if problem}<p class="text-error mt-2" role="alert">{problem.detail}</p>{/if}
</section>
