<script lang="ts">
  import Combobox from '@github/combobox-nav';
  import { tick } from 'svelte';
  import { say } from '../messages/say';
  type Named = { id: string; name: string; matched: string | null };
  type Answer = { ok: true; value: Named[] } | { ok: false; problem: { detail: string } };
  type Props = {
    label: string;
    id: string;
    /** What stands there now. */
    chosen: string;
    /** All that fit what was typed, best first. */
    find: (asked: string, signal: AbortSignal) => Promise<Answer>;
    onchoose: (id: string) => void;
    /** A line before all others, such as "no rice". */
    none?: { id: string; name: string };
    error?: string | null;
  };
  let { label, id, chosen, find, onchoose, none, error = null }: Props = $props();

  let typed = $state<string | null>(null);
  /** What was found, for which letters; null while the answer is on its way. */
  let found = $state.raw<{ asked: string; names: Named[]; failed: string | null } | null>(null);
  /** Enter or Tab came before the answer: the best line is taken when it is there. */
  let takeFirst = false;
  let abort: AbortController | null = null;
  let input: HTMLInputElement;
  let list: HTMLUListElement;
  let moves: Combobox | null = null;
  const open = $derived(typed !== null);
  const answered = $derived(found !== null && found.asked === typed);
  const meant = $derived(!typed || none?.name.toLowerCase().startsWith(typed.toLowerCase()));
  /** Never the lines of older letters: what is on show is for what was typed, or nothing is. */
  const lines = $derived(
    answered ? [...(none && meant ? [{ ...none, matched: null }] : []), ...(found?.names ?? [])] : [],
  );

  async function look(asked: string) {
    typed = asked;
    found = null;
    takeFirst = false;
    abort?.abort();
    const mine = (abort = new AbortController());
    try {
      const answer = await find(asked, mine.signal);
      if (mine.signal.aborted) return;
      found = {
        asked,
        names: answer.ok ? answer.value : [],
        failed: answer.ok ? null : answer.problem.detail,
      };
      if (takeFirst) choose(lines[0]);
    } catch (e) {
      if (!(e instanceof DOMException && e.name === 'AbortError')) throw e;
    }
  }

  function close() {
    typed = null;
    takeFirst = false;
    abort?.abort();
  }

  function choose(line: Named | undefined) {
    takeFirst = false;
    if (!line) return;
    close();
    onchoose(line.id);
  }

  /** Leaving the field takes the line on show, now or when the answer is there; with nothing typed, or nothing found, all stays as it was. */
  function leave() {
    if (!typed || (answered && lines.length === 0)) return close();
    if (!answered) takeFirst = true;
    else
      choose(
        lines[[...list.children].findIndex((line) => line.getAttribute('aria-selected') === 'true')] ??
          lines[0],
      );
  }

  /** What the library does not know: a list that is not there yet, or of which no line is meant. Along its lines it moves by itself. */
  function key(event: KeyboardEvent) {
    if (event.key === 'ArrowDown' && !open) void look('');
    else if (event.key === 'Enter' && open && !event.isComposing) leave();
    else if (event.key === 'Escape' && open) close();
    else return;
    event.preventDefault();
  }

  $effect(() => {
    moves = new Combobox(input, list, { tabInsertsSuggestions: false, firstOptionSelectionMode: 'selected' });
    const take = (event: Event) => choose(lines[[...list.children].indexOf(event.target as Element)]);
    list.addEventListener('combobox-commit', take);
    return () => {
      list.removeEventListener('combobox-commit', take);
      moves?.destroy();
    };
  });
  $effect(() => {
    if (open) moves?.start();
    else moves?.stop();
  });
  // The first line is the one that Enter takes.
  $effect(() => {
    if (lines.length > 0) void tick().then(() => moves?.resetSelection());
  });
</script>

<div class="relative">
  <label class="mb-1 block text-sm font-semibold" for={id}>{label}</label>
  <input
    bind:this={input}
    {id}
    class="input w-full text-base"
    type="text"
    role="combobox"
    aria-expanded="false"
    aria-controls="{id}-list"
    autocomplete="off"
    spellcheck="false"
    aria-invalid={error ? true : undefined}
    value={typed ?? chosen}
    onfocus={() => input.select()}
    onclick={() => typed === null && look('')}
    oninput={(e) => look(e.currentTarget.value)}
    onkeydown={key}
    onblur={leave}
  />
  <!-- The input keeps the focus: pressing must not blur it before the choice is made. -->
  <ul
    bind:this={list}
    id="{id}-list"
    role="listbox"
    aria-label={label}
    class="dish absolute z-20 mt-1 max-h-72 w-full overflow-y-auto py-1 shadow-lg"
    hidden={!open}
    onmousedown={(e) => e.preventDefault()}
  >
    {#each lines as line, i (line.id)}
      <li
        id="{id}-{i}"
        role="option"
        aria-selected="false"
        class="aria-selected:bg-base-200 flex cursor-pointer items-baseline justify-between gap-3 px-3 py-2"
      >
        <span>{line.name}</span>
        {#if line.matched}<span class="text-sm opacity-80">{line.matched}</span>{/if}
      </li>
    {/each}
    {#if open && answered && lines.length === 0}<li
        class="px-3 py-2"
        role="option"
        aria-selected="false"
        aria-disabled="true"
      >
        {found?.failed ?? say('picker.nothing')}
      </li>{/if}
  </ul>
  {#if error}<p class="text-error mt-1 text-sm" role="alert">{error}</p>{/if}
</div>
