<script lang="ts">
  import { api, type Dish, type WordAnswer } from '../../api/client';
  import { say } from '../../messages/say';

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
  <label class="mb-1 block text-sm font-semibold" for="how-much">{say('much.label')}</label>
  <input
    id="how-much"
    class="input w-full text-base"
    placeholder={say('much.example')}
    autocomplete="off"
    maxlength="120"
    bind:value={phrase}
    oninput={ask}
    aria-describedby="how-much-answer"
  />
  <div id="how-much-answer" role="status" class="text-[0.95rem]">
    {#if fault}<p class="text-error mt-1">{fault}</p>
    {:else if answers && answers.length === 0}<p class="mt-1 opacity-85">{say('much.nothing')}</p>
    {:else if answers}
      <ul class="mt-1 list-disc pl-5">
        {#each answers as a (a.code)}
          <li>
            {a.confidence === 'D' ? say('much.guess', { text: a.text }) : a.text}
          </li>
        {/each}
      </ul>
    {/if}
  </div>
</div>
