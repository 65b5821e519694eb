<script lang="ts">
  import { say } from '../lib/messages/say';
  import { household } from '../lib/state/kitchen.svelte';
  import { FromNotes } from '../lib/state/notes.svelte';
  import NotesAsked from '../lib/features/notes/NotesAsked.svelte';
  import NotesRead from '../lib/features/notes/NotesRead.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate } from '../router';

  const example = say('notes.example').split('; ').join('\n');
  const notes = new FromNotes();
  $effect(() => {
    if (household.kitchen.state === 'ready') notes.begin(household.kitchen.value);
  });

  async function file(event: Event & { currentTarget: HTMLInputElement }) {
    const chosen = event.currentTarget.files?.[0];
    if (chosen) {
      await notes.read(await chosen.text());
    }
  }

  function plan() {
    notes.keep();
    navigate('/');
  }
</script>

<svelte:head><title>{say('page.title', { view: say('tonight.notes') })}</title></svelte:head>

<div class="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
  <section class="dish flex flex-col p-4 lg:self-start">
    <h1 class="text-2xl">{say('note.title')}</h1>
    <label class="mt-2 mb-1 text-sm font-semibold" for="notes">{say('note.field')}</label>
    <textarea
      id="notes"
      class="textarea min-h-72 w-full text-base leading-6 lg:min-h-[60vh]"
      placeholder={example}
      value={notes.text}
      oninput={(e) => notes.type(e.currentTarget.value)}
      aria-invalid={notes.problem?.field === 'text' ? true : undefined}
      aria-describedby="notes-problem"></textarea>
    <p id="notes-problem" class="text-error mt-2 empty:hidden" role="alert">{notes.problem?.detail ?? ''}</p>
    <input
      class="file-input mt-3 max-w-full"
      type="file"
      accept=".txt,.json,.html,.htm,.md"
      aria-label={say('note.file')}
      onchange={file}
    />
  </section>
  {#if notes.found}
    <div class="flex flex-col gap-5">
      <NotesAsked {notes} onplan={plan} />
      <NotesRead found={notes.found} onmean={(field, id) => notes.answer(field, id)} />
    </div>
  {:else if household.kitchen.state === 'failed'}
    <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail} />
  {:else}
    <p class="self-center p-6 text-lg">{say('note.empty')}</p>
  {/if}
</div>
