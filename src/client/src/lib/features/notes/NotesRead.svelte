<script lang="ts">
  import type { NoteAnswers, Notes } from '../../api/client';
  import { grams, millilitres } from '../../format/amounts';
  import { noteStep } from '../../format/notes';
  import { capital } from '../../messages/figures';
  import { say } from '../../messages/say';

  type Props = { found: Notes; onmean: (field: keyof NoteAnswers, id: string) => void };
  let { found, onmean }: Props = $props();
</script>

<section class="dish p-4" aria-labelledby="read-title">
  <h2 id="read-title" class="text-xl">{say('note.read')}</h2>
  <ul class="mt-1">
    {#each found.amounts as a, i (i)}
      <li class="border-base-300 border-t py-1.5 first:border-t-0">
        <div class="flex justify-between gap-3">
          <span
            >{a.kind === 'unknown'
              ? a.line
              : capital(a.cooked ? say('note.cooked', { name: a.name }) : a.name)}
            {#if a.kind === 'unknown'}<span class="block text-sm opacity-85">{say('note.unknown')}</span
              >{/if}</span
          >
          <span class="font-semibold whitespace-nowrap tabular-nums"
            >{a.grams === null ? '' : a.kind === 'water' ? millilitres(a.grams) : grams(a.grams)}</span
          >
        </div>
        {#if a.others.length}
          <p class="mt-1 flex flex-wrap items-center gap-2 text-sm">
            {say('note.taken', { line: a.line, name: a.name })}
            {#each a.others as other (other.pulseId)}
              <button
                type="button"
                class="btn btn-sm btn-outline"
                onclick={() => onmean('pulseId', other.pulseId)}>{other.name}</button
              >
            {/each}
          </p>
        {/if}
      </li>
    {/each}
    {#each found.steps as s, i (i)}
      {@const told = noteStep(s)}
      <li class="border-base-300 flex justify-between gap-3 border-t py-1.5">
        <span>{s.line}</span>
        <span class="text-right font-semibold whitespace-nowrap" class:opacity-85={!told.read}
          >{told.act}
          {#if told.more}<span class="block text-sm font-normal">{told.more}</span>{/if}</span
        >
      </li>
    {/each}
  </ul>
</section>
