<script lang="ts">
  import { Pencil, Repeat, Trash2 } from '@lucide/svelte';
  import { tick } from 'svelte';
  import type { DinnerLine, Kitchen } from '../../api/client';
  import { dinnersOf } from '../../format/chance';
  import { clock, dayName, dayOf, range } from '../../format/time';
  import { capital } from '../../format/words';
  import { say } from '../../messages/say';

  type Props = {
    line: DinnerLine;
    kitchen: Kitchen;
    onagain: () => void;
    onrename: (title: string) => Promise<boolean>;
    onremove: () => void;
  };
  let { line, kitchen, onagain, onrename, onremove }: Props = $props();

  const zone = $derived(kitchen.zone);
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  /** What is over has its log; an evening that was begun is looked up at the stove, a plan on Tonight. */
  const href = $derived(
    line.finished ? `/dinners/${line.id}` : line.started ? `/stove/${line.id}` : `/dinner/${line.id}`,
  );
  let title = $state<string | null>(null);
  let pencil = $state<HTMLButtonElement>();

  /** The field takes the hand, with all of the title marked. */
  const marked = (field: HTMLInputElement) => {
    field.focus();
    field.select();
  };

  async function close() {
    title = null;
    await tick();
    pencil?.focus();
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const wanted = title?.trim() ?? '';
    if (wanted && (wanted === line.title || (await onrename(wanted)))) await close();
  }
</script>

<li class="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-t py-2.5 first:border-t-0">
  <p class="flex w-full shrink-0 items-baseline gap-2 leading-tight sm:block sm:w-28">
    <span class="display text-xl tabular-nums">{clock(line.serveAt, zone)}</span>
    <span class="block text-sm opacity-85">{capital(dayName(dayOf(line.serveAt, zone), today))}</span>
  </p>
  {#if title === null}
    <div class="min-w-0 flex-1 basis-56">
      <a class="hover:text-secondary text-lg font-semibold" {href}>{line.title}</a>
      <p class="text-[0.95rem]">
        {line.riceName ? `${line.pulseName}, ${line.riceName}. ` : `${line.pulseName}. `}{line.finished
          ? say('dinners.cooked')
          : say('dinners.line', {
              when: range(line.summary.tableEarly, line.summary.tableLate, zone),
              chance: dinnersOf(line.summary.withLooks),
            })}
      </p>
    </div>
    <div class="flex flex-wrap gap-1">
      {#if line.started && !line.finished}
        <a class="btn btn-primary" {href}>{say('dinners.to_stove')}</a>
      {/if}
      <button
        class="btn btn-ghost px-2.5"
        onclick={onagain}
        aria-label={say('dinners.again.of', { title: line.title })}
      >
        <Repeat size={17} />
        {say('dinners.again')}
      </button>
      <button
        class="btn btn-ghost px-2.5"
        bind:this={pencil}
        onclick={() => (title = line.title)}
        aria-label={say('dinners.rename.of', { title: line.title })}
      >
        <Pencil size={17} /> <span class="hidden md:inline">{say('dinners.rename')}</span>
      </button>
      <button
        class="btn btn-ghost px-2.5"
        onclick={onremove}
        aria-label={say('dinners.remove.of', { title: line.title })}
      >
        <Trash2 size={17} /> <span class="hidden md:inline">{say('dinners.remove')}</span>
      </button>
    </div>
  {:else}
    <form class="flex min-w-0 flex-1 basis-56 flex-wrap gap-2" onsubmit={save}>
      <input
        class="input min-w-0 flex-1 basis-48 text-base"
        maxlength="120"
        required
        aria-label={say('dinners.rename.label', { title: line.title })}
        bind:value={title}
        {@attach marked}
        onkeydown={(e) => e.key === 'Escape' && void close()}
      />
      <button class="btn btn-primary">{say('dinners.save')}</button>
      <button type="button" class="btn btn-ghost" onclick={() => void close()}>{say('dinners.cancel')}</button
      >
    </form>
  {/if}
</li>
