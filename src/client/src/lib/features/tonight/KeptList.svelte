<script lang="ts">
  import { NotebookPen, Plus, Repeat, Trash2 } from '@lucide/svelte';
  import type { Kitchen } from '../../api/client';
  import { clock, dayName, dayOf } from '../../format/time';
  import { capital } from '../../format/words';
  import { kept } from '../../state/kept.svelte';

  type Props = {
    kitchen: Kitchen;
    openId: string | null;
    onfresh: () => void;
    onagain: (id: string) => void;
  };
  let { kitchen, openId, onfresh, onagain }: Props = $props();
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  /** What is to come, the next first; then what is past, the latest first. */
  const lines = $derived.by(() => {
    if (kept.list.state !== 'ready') return [];
    const all = kept.list.value;
    const coming = all.filter((d) => d.serveAt >= kitchen.now);
    return [...coming.reverse(), ...all.filter((d) => d.serveAt < kitchen.now)];
  });
</script>

<section class="dish p-4" aria-labelledby="kept-title">
  <div class="flex items-center justify-between">
    <h2 id="kept-title" class="text-lg">Kept dinners</h2>
    <span>
      <a class="btn btn-ghost btn-sm px-2" href="/notes" title="Plan from somebody’s notes"
        ><NotebookPen size={16} /> Notes</a
      >
      <button class="btn btn-ghost btn-sm px-2" onclick={onfresh}><Plus size={16} /> New</button>
    </span>
  </div>
  {#if kept.list.state === 'failed'}
    <p class="text-error mt-2" role="alert">{kept.list.problem.detail}</p>
  {:else if kept.list.state === 'ready' && kept.list.value.length === 0}
    <p class="mt-2 opacity-85">None yet. Keep a plan and it waits here.</p>
  {:else if kept.list.state === 'ready'}
    <ul class="mt-1">
      {#each lines as line (line.id)}
        <li class="border-base-300 flex items-center gap-2 border-t py-1.5 first:border-t-0">
          <a
            class="hover:text-secondary min-w-0 flex-1"
            class:font-bold={line.id === openId}
            aria-current={line.id === openId ? 'page' : undefined}
            href="/dinner/{line.id}"
          >
            <span class="block truncate">{line.title}</span>
            <span class="block text-sm opacity-85">
              {capital(dayName(dayOf(line.serveAt, kitchen.zone), today))}, {clock(
                line.serveAt,
                kitchen.zone,
              )}
            </span>
          </a>
          <button
            class="btn btn-ghost btn-sm btn-square"
            aria-label="Cook {line.title} again"
            title="Cook it again"
            onclick={() => onagain(line.id)}
          >
            <Repeat size={17} />
          </button>
          <button
            class="btn btn-ghost btn-sm btn-square"
            aria-label="Delete {line.title}"
            onclick={() => kept.remove(line)}
          >
            <Trash2 size={17} />
          </button>
        </li>
      {/each}
    </ul>
    {#if kept.next}
      <button class="btn btn-ghost btn-sm mt-1 w-full" onclick={() => kept.more()}>Older dinners</button>
    {/if}
  {/if}
  {#if kept.problem}<p class="text-error mt-2 text-sm" role="alert">{kept.problem.detail}</p>{/if}
  {#if kept.deleted}
    <p class="bg-base-200 mt-2 flex items-center justify-between rounded-lg px-3 py-2" role="status">
      <span class="min-w-0 truncate">Deleted: {kept.deleted.title}</span>
      <button class="btn btn-sm btn-primary" onclick={() => kept.undo()}>Undo</button>
    </p>
  {/if}
</section>
