<script lang="ts">
  import { api, type Dish, type WordAnswer } from '../../api/client';

  type Props = { dish: Dish };
  let { dish }: Props = $props();

  let phrase = $state('');
  let answers = $state.raw<WordAnswer[] | null>(null);
  let fault = $state('');
  let abort: AbortController | null = null;

  async function ask() {
    abort?.abort();
    const own = (abort = new AbortController());
    if (!phrase.trim()) {
      answers = null;
      return;
    }
    try {
      const answer = await api.words(phrase, { ...dish }, own.signal);
      if (own.signal.aborted) return;
      fault = answer.ok ? '' : answer.problem.detail;
      answers = answer.ok ? answer.value : null;
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
  }
</script>

<div class="no-print mt-3">
  <label class="mb-1 block text-sm font-semibold" for="how-much">How much is …</label>
  <input
    id="how-much"
    class="input w-full text-base"
    placeholder="an inch over, a glass, mark 4"
    autocomplete="off"
    maxlength="120"
    bind:value={phrase}
    oninput={ask}
    aria-describedby="how-much-answer"
  />
  <div id="how-much-answer" role="status" class="text-[0.95rem]">
    {#if fault}<p class="text-error mt-1">{fault}</p>
    {:else if answers && answers.length === 0}<p class="mt-1 opacity-85">That word has no figure here.</p>
    {:else if answers}
      <ul class="mt-1 list-disc pl-5">
        {#each answers as a (a.code)}
          <li>
            {a.text}{#if a.confidence === 'D'}<span class="opacity-85"> (a guess)</span>{/if}
          </li>
        {/each}
      </ul>
    {/if}
  </div>
</div>
