<script lang="ts">
  import { v7 as uuid } from 'uuid';
  import { api, type DinnerLog, type Verdict } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { say } from '../../messages/say';
  import Choice from '../../ui/Choice.svelte';

  type Props = { log: DinnerLog; now: string; onsaved: (log: DinnerLog) => void };
  let { log, now, onsaved }: Props = $props();

  type Part = 'pulses' | 'rice' | 'salt' | 'sauce';
  type How = NonNullable<Verdict['pulses']>;
  const hows: How[] = ['under', 'right', 'over'];
  const parts = $derived<Part[]>(
    log.riceName ? ['pulses', 'rice', 'salt', 'sauce'] : ['pulses', 'salt', 'sauce'],
  );
  // svelte-ignore state_referenced_locally
  let said = $state<Verdict>({ ...log.verdict });
  let problem = $state<Problem | null>(null);
  let saved = $state(false);

  function set(part: Partial<Verdict>) {
    said = { ...said, ...part };
    saved = false;
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const answer = await api.judge(log.id, {
      eventId: uuid(),
      occurredAt: now,
      basedOn: log.version,
      verdict: said,
    });
    problem = answer.ok ? null : answer.problem;
    saved = answer.ok;
    if (answer.ok) onsaved(answer.value);
  }
</script>

<form class="dish flex flex-col gap-3 p-4" onsubmit={save} aria-labelledby="verdict-title">
  <h2 id="verdict-title" class="text-xl">{say('log.verdict')}</h2>
  {#each parts as part (part)}
    <Choice
      legend={say(`log.verdict.${part}`)}
      name="verdict-{part}"
      value={said[part] ?? ''}
      options={hows.map((how) => ({ id: how, name: say(`log.verdict.${part}.option`, { how }) }))}
      onchange={(how) => set({ [part]: how })}
    />
  {/each}
  <Choice
    legend={say('log.verdict.again')}
    name="verdict-again"
    value={said.again === true ? 'yes' : said.again === false ? 'no' : ''}
    options={(['yes', 'no'] as const).map((again) => ({
      id: again,
      name: say('log.verdict.again.option', { again }),
    }))}
    onchange={(again) => set({ again: again === 'yes' })}
  />
  <div>
    <label class="mb-1 block text-sm font-semibold" for="verdict-note">{say('log.verdict.note')}</label>
    <textarea
      id="verdict-note"
      class="textarea w-full text-base"
      rows="3"
      maxlength="1000"
      value={said.note ?? ''}
      oninput={(e) => set({ note: e.currentTarget.value })}></textarea>
  </div>
  <div class="flex items-center gap-3">
    <button class="btn btn-primary" type="submit">{say('log.verdict.save')}</button>
    <span role="status">{saved ? say('log.verdict.saved') : ''}</span>
  </div>
  {#if problem}<p class="text-error text-sm" role="alert">
      {problem.errors?.[0]?.detail ?? problem.detail}
    </p>{/if}
</form>
