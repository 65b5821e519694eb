<script lang="ts">
  import { tick } from 'svelte';
  import { api, type Copies } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { dayName } from '../../format/time';
  import { say } from '../../messages/say';
  import { saveFile } from '../../ui/saveFile';

  type Props = { today: string };
  let { today }: Props = $props();
  type Bring = { what: string; act: () => ReturnType<typeof api.backTo> };

  let copies = $state.raw<Copies | null>(null);
  let problem = $state.raw<Problem | null>(null);
  let busy = $state(false);
  let said = $state('');
  let bring = $state.raw<Bring | null>(null);
  let sure = $state<HTMLButtonElement>();

  async function load(anew: boolean) {
    busy = anew;
    said = anew ? say('copies.copying') : '';
    const answer = await (anew ? api.copyNow() : api.copies());
    busy = false;
    said = anew && answer.ok ? say('copies.done') : '';
    problem = answer.ok ? null : answer.problem;
    copies = answer.ok ? answer.value : copies;
  }
  $effect(() => void load(false));

  async function save() {
    const answer = await api.archive();
    problem = answer.ok ? null : answer.problem;
    if (!answer.ok) return;
    const file = `bright-kettle-${today}.json`;
    saveFile(answer.value as unknown as Blob, file);
    said = say('copies.saved', { file });
  }

  /** Asked once: what is here gives way to it. */
  async function ask(what: string, act: Bring['act']) {
    problem = null;
    said = '';
    bring = { what, act };
    await tick();
    sure?.focus();
  }

  function chosen(input: HTMLInputElement) {
    const file = input.files?.[0];
    input.value = '';
    if (file) void ask(file.name, () => api.bringBack(file));
  }

  async function go({ act }: Bring) {
    busy = true;
    said = say('copies.bringing');
    const answer = await act();
    busy = false;
    bring = null;
    said = '';
    problem = answer.ok ? null : answer.problem;
    // Every view is another household's from here on.
    if (answer.ok) location.reload();
  }
</script>

<section class="dish mt-5 p-4" aria-labelledby="copies">
  <h2 id="copies" class="text-xl">{say('copies.title')}</h2>
  <p class="mt-1">
    {say('copies.text')}
    {#if copies && !copies.days.length}{say('copies.none')}{/if}
  </p>
  {#if copies}
    <p class="mt-1 text-sm break-words">{say('copies.where', { folder: copies.folder })}</p>
  {/if}
  {#if copies?.days.length}
    <ul class="mt-2 max-w-md" aria-label={say('copies.days')}>
      {#each copies.days as day (day)}
        <li class="border-base-300 flex items-center justify-between gap-3 border-t py-1 first:border-t-0">
          <span class="inline-block font-semibold first-letter:uppercase">{dayName(day, today)}</span>
          <button
            class="btn btn-ghost"
            disabled={busy}
            aria-label={say('copies.back_to', { day: dayName(day, today) })}
            onclick={() => ask(say('copies.of_day', { day: dayName(day, today) }), () => api.backTo(day))}
            >{say('copies.back')}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if bring}
    <div
      class="border-warning bg-base-200 mt-3 flex flex-col items-start gap-3 rounded-(--radius-box) border-2 p-3"
      role="alertdialog"
      aria-labelledby="sure"
    >
      <p id="sure">{say('copies.sure', { what: bring.what })}</p>
      <p class="flex flex-wrap gap-3">
        <button class="btn btn-primary" bind:this={sure} disabled={busy} onclick={() => bring && go(bring)}
          >{say('copies.bring')}</button
        >
        <button class="btn btn-outline" disabled={busy} onclick={() => (bring = null)}
          >{say('copies.leave')}</button
        >
      </p>
    </div>
  {/if}
  <p class="mt-3 flex flex-wrap items-center gap-3">
    <button class="btn btn-outline btn-primary" disabled={busy} onclick={() => load(true)}
      >{say('copies.now')}</button
    >
    <button class="btn btn-outline btn-primary" disabled={busy} onclick={save}>{say('copies.save')}</button>
    <label class="flex flex-wrap items-center gap-2">
      <span class="font-semibold">{say('copies.file')}</span>
      <input
        class="file-input max-w-full"
        type="file"
        accept=".json"
        disabled={busy}
        onchange={(e) => chosen(e.currentTarget)}
      />
    </label>
  </p>
  <p class="mt-1 empty:hidden" role="status">{said}</p>
  {#if problem}<p class="text-error mt-2" role="alert">
      {problem.errors?.[0]?.detail ?? problem.detail}
    </p>{/if}
</section>
