<script lang="ts">
  import { household } from '../lib/state/kitchen.svelte';
  import { FromNotes } from '../lib/state/notes.svelte';
  import NotesAsked from '../lib/features/notes/NotesAsked.svelte';
  import NotesRead from '../lib/features/notes/NotesRead.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate } from '../router';

  const example = ['250 g chickpeas', '1.2 L water', 'Soak overnight, then boil and simmer 80 minutes'].join(
    '\n',
  );
  const notes = new FromNotes();
  $effect(() => {
    if (household.kitchen.state === 'ready') notes.begin(household.kitchen.value);
  });

  async function file(event: Event & { currentTarget: HTMLInputElement }) {
    const chosen = event.currentTarget.files?.[0];
    if (chosen) {
      notes.text = await chosen.text();
      await notes.read();
    }
  }

  function plan() {
    notes.keep();
    navigate('/');
  }
</script>

<svelte:head><title>From notes · Bright Kettle</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
  <section class="dish flex flex-col p-4">
    <h1 class="text-2xl">From somebody’s notes</h1>
    <label class="mt-2 mb-1 text-sm font-semibold" for="notes">Paste them, or a recipe as JSON-LD</label>
    <textarea
      id="notes"
      class="textarea min-h-72 w-full flex-1 text-base leading-6"
      placeholder={example}
      bind:value={notes.text}
      aria-invalid={notes.problem?.field === 'text' ? true : undefined}></textarea>
    {#if notes.problem}<p class="text-error mt-2" role="alert">{notes.problem.detail}</p>{/if}
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <button class="btn btn-primary" onclick={() => notes.read()} disabled={!notes.text.trim()}
        >Read them</button
      >
      <input
        class="file-input max-w-full"
        type="file"
        accept=".txt,.json,.html,.htm,.md"
        aria-label="Or from a file"
        onchange={file}
      />
    </div>
  </section>
  {#if notes.found}
    <div class="flex flex-col gap-5">
      <NotesAsked {notes} onplan={plan} />
      <NotesRead found={notes.found} />
    </div>
  {:else if household.kitchen.state === 'failed'}
    <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail} />
  {:else}
    <p class="self-center p-6 text-lg">
      Amounts, times and actions are picked out; what is missing is asked, and nothing is guessed.
    </p>
  {/if}
</div>
